/** The members of one drawer, by the id of its space. @example drawerIds('bank-1').front // 'bank-1/drawer-front/1' */
export function drawerIds(space: string) {
  return {
    front: `${space}/drawer-front/1`,
    left: `${space}/drawer-side/left`,
    right: `${space}/drawer-side/right`,
    inner: `${space}/drawer-end/front`,
    back: `${space}/drawer-end/back`,
    bottom: `${space}/drawer-bottom/1`,
    muntin: `${space}/muntin/1`,
    runners: [`${space}/runner/left`, `${space}/runner/right`],
  } as const;
}
