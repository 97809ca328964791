/** Style elements that packages add at run time must carry the page's nonce; they look for it here. */
const meta = document.querySelector<HTMLMetaElement>('meta[property=csp-nonce]')
if (meta) (globalThis as { __webpack_nonce__?: string }).__webpack_nonce__ = meta.nonce
