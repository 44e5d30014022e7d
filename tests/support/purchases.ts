/** A purchase as its form sends it. */
export const PURCHASE = {
  price: '12.00 USD',
  supplier: 'Gull & Sons',
  boughtOn: '2026-05-04',
  place: 'Bead box',
  note: '',
  paid: '',
};

export const BEADS = {
  ...PURCHASE,
  material: 'garnet',
  shape: 'round',
  size: '4 mm',
  largest: '',
  hole: '0.8 mm',
  form: 'strand',
  count: '40',
  shades: 'pale 14, deep 20',
};

export const STONE = {
  ...PURCHASE,
  material: 'prehnite',
  outline: 'teardrop',
  length: '18 mm',
  width: '13 mm',
  depth: '5 mm',
  edge: '3 mm',
  holeAxis: 'none',
  hole: '',
};

export const FINDING = {
  ...PURCHASE,
  finding: 'jump ring',
  material: 'sterling',
  size: '4 mm',
  count: '1 gross',
};

export const SUPPLY = {
  ...PURCHASE,
  name: 'Antiquing solution',
  unit: 'ml',
  quantity: '250 ml',
  perPiece: '2 ml',
};
