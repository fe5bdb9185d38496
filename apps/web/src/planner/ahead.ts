import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import type { Planner } from './planner-answers';

/** Documents that will be asked for. */
interface Ahead {
  readonly ahead: { readonly build: BuildDocument; readonly shop: ShopDocument };
}

const isAhead = (data: unknown): data is Ahead =>
  typeof data === 'object' && data !== null && 'ahead' in data;

/** Plans what comes as documents that will be asked for: the answer is remembered until then. */
export const planAhead =
  ({ first }: Pick<Planner, 'first'>) =>
  ({ data }: MessageEvent<unknown>): void => {
    if (!isAhead(data)) return;
    try {
      first(data.ahead.build, data.ahead.shop);
    } catch {
      // Whoever asks for it is told.
    }
  };
