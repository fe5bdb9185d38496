import { type ComponentType, lazy, useState } from 'react';

/** A part of the page that is read in when it is first drawn, or ahead of that. */
export type ReadIn<P = object> = ComponentType<P> & {
  /** Reads it in; what fails is told when it is really drawn. */
  readonly ahead: () => Promise<void>;
};

/**
 * Makes such a part. Once it has been read in it is drawn at once: `lazy` of React waits a moment even then, and what is shown as on its
 * way stays so for a third of a second.
 * @param load reads the component in.
 */
export function readIn<P extends object>(load: () => Promise<ComponentType<P>>): ReadIn<P> {
  let here: ComponentType<P> | undefined;
  const begin = async () => (here = await load());
  const Awaited = lazy(async () => ({ default: await begin() })) as ComponentType<P>;
  function Part(props: P) {
    // The same one for as long as it is drawn: another would begin anew.
    const [Content] = useState<ComponentType<P>>(() => here ?? Awaited);
    return <Content {...props} />;
  }
  Part.ahead = async () => {
    await begin().catch(() => undefined);
  };
  return Part;
}
