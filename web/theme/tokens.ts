/** The colours and measures of the interface; each is used for one thing. */
export const ink = '#17211c';
export const inkSoft = '#4a564f';
export const film = '#ecefe9';
export const paper = '#f9fbf6';
export const line = '#c9d0c8';
export const tape = '#f4c430';
export const tapePale = '#fff3cf';
export const wood = '#dfbd8e';
export const woodDark = '#c79d66';
export const ghost = '#d9e2dc';
export const ghostEdge = '#9aa8a0';
export const red = '#b3261a';
export const amber = '#8f5400';
export const green = '#1d6b38';
export const link = '#1b5aa8';

export const phone = '(max-width: 860px)';
