/** Stands in the built page where each page that is served has a nonce of its own. */
export const NONCE_PLACE = 'nonce-of-this-page'
