/** No figure is made up: it stands in the maker's data. */
export const MAKERS = 'maker\u2019s figure';
export const WHEEL_BOLTS = { what: 'wheel bolts or nuts, crosswise', figure: MAKERS, singleUse: false };
