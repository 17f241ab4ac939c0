/** Where the parts of a document stand: roots of the paths that fields are bound to. */
export const BRIEF = 'document.brief';
export const DESIGN = 'document.design';
export const POWER = `${DESIGN}.power`;
export const RUBBER = `${POWER}.rubber`;
export const SOLAR = `${POWER}.solar`;
export const STRUCTURE = `${DESIGN}.structure`;
export const FLIGHT = `${DESIGN}.flight`;
