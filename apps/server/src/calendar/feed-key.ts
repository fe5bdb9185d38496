import { createHmac, timingSafeEqual } from 'node:crypto';
import type { PassphraseStore } from '@lean-clasp/store';

/** The part of the feed's address that nobody can guess. */
export interface FeedKey {
  readonly key: () => Promise<string>;
  readonly fits: (key: string) => Promise<boolean>;
}

/**
 * A calendar signs in nowhere: whoever has the address may read. It comes from the secret of the server and from the passphrases that
 * are set, so that one set anew shuts the calendars out as well as the devices.
 */
export function feedKey(secret: string, passphrases: Pick<PassphraseStore, 'list'>): FeedKey {
  const key = async () =>
    createHmac('sha256', secret)
      .update(`calendar ${JSON.stringify(await passphrases.list())}`)
      .digest('base64url');
  return {
    key,
    fits: async (asked) => {
      const [right, given] = [Buffer.from(await key()), Buffer.from(asked)];
      return right.length === given.length && timingSafeEqual(right, given);
    },
  };
}
