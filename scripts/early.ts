import { build, type Plugin } from 'vite';

/** Its name in the build: it keeps no version in it, for the page names it. */
const FILE = 'early.js';

/** Builds what runs before the application is there, by itself, and puts it into the page; the application is begun by it. */
export const early = (entry: string): Plugin => ({
  name: 'early',
  apply: 'build',
  transformIndexHtml: {
    order: 'post',
    handler(html) {
      const [whole, src] = /<script type="module"[^>]* src="([^"]+)"[^>]*><\/script>/.exec(html) ?? [];
      if (!whole || !src) throw new Error('The page has no script.');
      return {
        // Fetched at once, and run when the early one says so.
        html: html.replace(whole, `<link rel="modulepreload" crossorigin href="${src}">`),
        tags: [{ tag: 'script', attrs: { src: `/${FILE}`, 'data-then': src }, injectTo: 'body' }],
      };
    },
  },
  async generateBundle() {
    const built = await build({
      configFile: false,
      logLevel: 'error',
      publicDir: false,
      build: {
        write: false,
        target: 'es2023',
        lib: { entry, formats: ['iife'], name: 'early', fileName: () => FILE },
      },
    });
    const [first] = Array.isArray(built) ? built : [built];
    if (!first || !('output' in first)) throw new Error('Nothing came of it.');
    this.emitFile({ type: 'asset', fileName: FILE, source: first.output[0].code });
  },
});
