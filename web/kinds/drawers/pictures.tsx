import type { BoxBottom, Drawers, Front, Runner } from '../../../core/interiors/index.js';
import type { Pictured } from '../../shared/picture-choice.js';

/** The sides of a case and a box between them, seen from above with the front at the foot. */
const between = (
  <>
    <rect data-wood="" x="4" y="2" width="6" height="28" />
    <rect data-wood="" x="54" y="2" width="6" height="28" />
    <path d="M16 2V24H48V2M16 6H48" />
  </>
);

export const FRONTS: readonly Pictured<Front['kind']>[] = [
  {
    id: 'inset',
    label: 'Inset, a reveal all round',
    picture: (
      <>
        {between}
        <rect data-other="" x="12" y="24" width="40" height="6" />
      </>
    ),
  },
  {
    id: 'overlay',
    label: 'In front, covering the case',
    picture: (
      <>
        {between}
        <rect data-other="" x="3" y="31" width="58" height="6" />
      </>
    ),
  },
  {
    id: 'lipped',
    label: 'Lipped over its opening',
    picture: (
      <>
        {between}
        <path data-other="" d="M12 26H52V31H57V37H7V31H12Z" />
      </>
    ),
  },
  {
    id: 'none',
    label: 'None, the box is seen',
    picture: (
      <>
        <rect data-wood="" x="4" y="2" width="6" height="28" />
        <rect data-wood="" x="54" y="2" width="6" height="28" />
        <path d="M14 2V29H50V2M14 25H50" />
      </>
    ),
  },
];

/** A side of the case at the left and the box beside it, cut through from side to side. */
const besides = (
  <>
    <rect data-wood="" x="6" y="2" width="8" height="36" />
    <path d="M30 6V30M36 6V30M30 30H60M36 25H60" />
  </>
);

export const RUNNERS: readonly Pictured<Runner['kind']>[] = [
  {
    id: 'slide',
    label: 'Bought slides',
    picture: (
      <>
        {besides}
        <rect data-other="" x="14" y="13" width="8" height="10" />
        <path d="M22 15H30V21H22" />
      </>
    ),
  },
  {
    id: 'wooden',
    label: 'Wooden runners',
    picture: (
      <>
        <rect data-wood="" x="6" y="2" width="8" height="36" />
        <path d="M20 4V28M26 4V28M20 28H60M26 23H60" />
        <rect data-other="" x="14" y="28" width="16" height="8" />
      </>
    ),
  },
  {
    id: 'plain',
    label: 'Its opening alone',
    picture: (
      <>
        <rect data-wood="" x="6" y="2" width="8" height="30" />
        <rect data-wood="" x="6" y="32" width="54" height="6" />
        <path d="M18 6V32M24 6V32M24 27H60" />
      </>
    ),
  },
];

const walls = (
  <>
    <rect data-wood="" x="6" y="4" width="7" height="30" />
    <rect data-wood="" x="51" y="4" width="7" height="30" />
  </>
);

export const BOTTOMS: readonly Pictured<BoxBottom['kind']>[] = [
  {
    id: 'groove',
    label: 'In grooves',
    picture: (
      <>
        {walls}
        <rect data-other="" x="10" y="24" width="44" height="4" />
      </>
    ),
  },
  {
    id: 'rebate',
    label: 'In rebates, from below',
    picture: (
      <>
        {walls}
        <rect data-other="" x="9" y="30" width="46" height="4" />
      </>
    ),
  },
  {
    id: 'applied',
    label: 'Under the box',
    picture: (
      <>
        {walls}
        <rect data-other="" x="6" y="34" width="52" height="4" />
      </>
    ),
  },
  {
    id: 'tray',
    label: 'A tray: base with strips round it',
    picture: (
      <>
        <rect data-wood="" x="6" y="20" width="7" height="12" />
        <rect data-wood="" x="51" y="20" width="7" height="12" />
        <rect data-other="" x="6" y="32" width="52" height="5" />
      </>
    ),
  },
];

/** A corner of the box seen from above. */
const corner = (
  <>
    <rect data-wood="" x="8" y="6" width="10" height="30" />
    <rect data-wood="" x="18" y="6" width="40" height="10" />
  </>
);

export const JOINS: readonly Pictured<Drawers['box']['join']>[] = [
  {
    id: 'pocket',
    label: 'Pocket screws, holes outside',
    picture: (
      <>
        {corner}
        <path d="M40 6 L12 13M40 6l-3 -2M40 6l-1 4" />
      </>
    ),
  },
  {
    id: 'nailed',
    label: 'Nails and glue, along the plies',
    picture: (
      <>
        {corner}
        <path d="M6 9H28M6 13H28M6 7V15" />
      </>
    ),
  },
  {
    id: 'screwed',
    label: 'Screws, at half the thickness',
    picture: (
      <>
        {corner}
        <path d="M8 11H34M8 8V14M20 9l2 4M24 9l2 4M28 9l2 4" />
      </>
    ),
  },
];

export const ORDERS: readonly Pictured<Drawers['box']['order']>[] = [
  {
    id: 'ends-between',
    label: 'Front and back between sides',
    picture: (
      <>
        <rect data-other="" x="14" y="4" width="36" height="6" />
        <rect data-other="" x="14" y="30" width="36" height="6" />
        <rect data-wood="" x="8" y="4" width="6" height="32" />
        <rect data-wood="" x="50" y="4" width="6" height="32" />
      </>
    ),
  },
  {
    id: 'sides-between',
    label: 'Sides between front and back',
    picture: (
      <>
        <rect data-wood="" x="8" y="10" width="6" height="20" />
        <rect data-wood="" x="50" y="10" width="6" height="20" />
        <rect data-other="" x="8" y="4" width="48" height="6" />
        <rect data-other="" x="8" y="30" width="48" height="6" />
      </>
    ),
  },
];
