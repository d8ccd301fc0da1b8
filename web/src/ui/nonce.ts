// Some Radix parts insert a <style>; the page's policy lets only those with this nonce through.
const content = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content;

export const nonce = content && !content.includes("{{") ? content : "";

// Read by the scroll lock of dialogs and menus.
(globalThis as { __webpack_nonce__?: string }).__webpack_nonce__ = nonce;
