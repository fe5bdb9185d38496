import type { HtmlTagDescriptor, Plugin } from 'vite';

/** The face that the first screen is written in. */
const TEXT_FACE = /hyperlegible-next-latin-wght-normal.*\.woff2$/;
/** Scripts that every page begins with. */
const FIRST: readonly string[] = ['base', 'frame'];
const FRAME_SHEET = /\/frame-.*\.css$/;

/** Names what every page needs in the page itself, so that it is fetched before the first script asks for it. */
export const earlyLinks = (): Plugin => ({
  name: 'early-links',
  transformIndexHtml: {
    order: 'post',
    handler: (_, { bundle }) =>
      Object.values(bundle ?? {}).flatMap((file): HtmlTagDescriptor[] => {
        const href = `/${file.fileName}`;
        if (file.type === 'chunk' && FIRST.includes(file.name)) return [link({ rel: 'modulepreload', href })];
        if (FRAME_SHEET.test(href)) return [link({ rel: 'stylesheet', href })];
        if (TEXT_FACE.test(href)) {
          return [link({ rel: 'preload', as: 'font', type: 'font/woff2', href })];
        }
        return [];
      }),
  },
});

const link = (attrs: Record<string, string>): HtmlTagDescriptor => ({
  tag: 'link',
  // As scripts of modules and faces are fetched.
  attrs: { ...attrs, crossorigin: '' },
  injectTo: 'head',
});
