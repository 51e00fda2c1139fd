import type { Back, Base, PanelCase } from '../../../core/shells/index.js';
import type { Pictured } from '../../shared/picture-choice.js';

export const BASES: readonly Pictured<Base['kind']>[] = [
  {
    id: 'toe',
    label: 'Sides to the floor, toe board',
    picture: (
      <>
        <rect data-wood="" x="12" y="2" width="6" height="34" />
        <rect data-wood="" x="46" y="2" width="6" height="34" />
        <rect data-wood="" x="18" y="22" width="28" height="5" />
        <rect data-other="" x="18" y="27" width="28" height="9" />
        <path d="M4 36H60" />
      </>
    ),
  },
  {
    id: 'plinth',
    label: 'Loose plinth',
    picture: (
      <>
        <rect data-wood="" x="12" y="2" width="6" height="24" />
        <rect data-wood="" x="46" y="2" width="6" height="24" />
        <rect data-wood="" x="18" y="21" width="28" height="5" />
        <rect data-other="" x="15" y="26" width="34" height="10" />
        <path d="M4 36H60" />
      </>
    ),
  },
  {
    id: 'none',
    label: 'None',
    picture: (
      <>
        <rect data-wood="" x="12" y="2" width="6" height="34" />
        <rect data-wood="" x="46" y="2" width="6" height="34" />
        <rect data-wood="" x="18" y="31" width="28" height="5" />
        <path d="M4 36H60" />
      </>
    ),
  },
];

/** Both sides seen from above, the rear at the head. */
const sides = (
  <>
    <rect data-wood="" x="8" y="8" width="8" height="30" />
    <rect data-wood="" x="48" y="8" width="8" height="30" />
  </>
);

export const BACKS: readonly Pictured<Back['kind']>[] = [
  {
    id: 'applied',
    label: 'Applied behind',
    picture: (
      <>
        {sides}
        <rect data-other="" x="8" y="3" width="48" height="5" />
      </>
    ),
  },
  {
    id: 'groove',
    label: 'In grooves',
    picture: (
      <>
        {sides}
        <rect data-other="" x="12" y="15" width="40" height="5" />
      </>
    ),
  },
  {
    id: 'rebate',
    label: 'In rebates',
    picture: (
      <>
        {sides}
        <rect data-other="" x="12" y="8" width="40" height="5" />
      </>
    ),
  },
  { id: 'none', label: 'None', picture: sides },
];

const upper = (over: boolean) => (
  <>
    <rect data-wood="" x="12" y={over ? 9 : 4} width="7" height="32" />
    <rect data-wood="" x="45" y={over ? 9 : 4} width="7" height="32" />
    <rect data-other="" x={over ? 12 : 19} y="4" width={over ? 40 : 26} height="6" />
  </>
);

const lower = (under: boolean) => (
  <>
    <rect data-wood="" x="12" y="-1" width="7" height={under ? 32 : 37} />
    <rect data-wood="" x="45" y="-1" width="7" height={under ? 32 : 37} />
    <rect data-other="" x={under ? 12 : 19} y="30" width={under ? 40 : 26} height="6" />
  </>
);

export const TOPS: readonly Pictured<PanelCase['top']>[] = [
  { id: 'between', label: 'Between the sides', picture: upper(false) },
  { id: 'over', label: 'Over the sides', picture: upper(true) },
];

export const BOTTOMS: readonly Pictured<PanelCase['bottom']>[] = [
  { id: 'between', label: 'Between the sides', picture: lower(false) },
  { id: 'over', label: 'Under the sides', picture: lower(true) },
];
