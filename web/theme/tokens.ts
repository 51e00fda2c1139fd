/** The colours and measures of the interface; each is used for one thing. */
export const ink = '#17211c';
export const inkSoft = '#4a564f';
export const film = '#ecefe9';
export const paper = '#f9fbf6';
/** Lines and words on ink. */
export const inkLine = '#4b5851';
export const inkPale = '#34403a';
export const onInk = '#b8c3bb';
export const line = '#c9d0c8';
export const lineFaint = '#dfe4dd';
/** Round what is typed in or pressed. */
export const edge = '#8d988f';
export const tape = '#f4c430';
export const tapePale = '#fff3cf';
export const onTape = '#3a3208';
export const wood = '#dfbd8e';
export const woodDark = '#c79d66';
/** Wood that lies behind, and its cut. */
export const woodPale = '#e3cb9f';
export const woodCut = '#cdb48a';
/** Parts that were there before, away from the light. */
export const woodBefore = '#e6e9e2';
/** Feet, castors and fittings. */
export const metal = '#7d8a92';
export const ghost = '#d9e2dc';
export const ghostEdge = '#9aa8a0';
export const red = '#b3261a';
export const redPale = '#f6d9d3';
export const amber = '#8f5400';
export const green = '#1d6b38';
export const link = '#1b5aa8';
/** What floats over the page, and what lies over the page under that. */
export const shade = '0 6px 20px rgb(0 0 0 / 18%)';
export const veil = 'rgb(20 28 24 / 45%)';

export const phone = '(max-width: 860px)';
