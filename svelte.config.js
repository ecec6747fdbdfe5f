import adapter from '@sveltejs/adapter-node';

/** @type {import('@sveltejs/kit').Config} */
export default {
  compilerOptions: {
    runes: true,
    // Short: the name stands at every element of thirty drawn jars.
    cssHash: ({ hash, css }) => `s${hash(css).slice(0, 5)}`
  },
  kit: {
    adapter: adapter({ precompress: true }),
    // The server hook checks the Origin of every changing request, JSON included, against the Host it came to.
    csrf: { trustedOrigins: ['*'] },
    // Strict policy; Skeleton renders style attributes on the server, hence the one exception.
    csp: {
      mode: 'auto',
      directives: {
        'default-src': ['self'],
        'script-src': ['self'],
        'style-src': ['self'],
        'style-src-attr': ['unsafe-inline'],
        'img-src': ['self', 'data:', 'blob:'],
        'font-src': ['self'],
        'connect-src': ['self'],
        'worker-src': ['self'],
        'object-src': ['none'],
        'base-uri': ['self'],
        'form-action': ['self'],
        'frame-ancestors': ['none']
      }
    }
  }
};
