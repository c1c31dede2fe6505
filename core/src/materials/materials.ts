/** A material's density near 20 °C in g/cm³; ranges where the material varies. */
export interface Material {
  readonly id: string;
  readonly name: string;
  readonly phase: 'solid' | 'liquid';
  readonly density: readonly [least: number, most: number];
}

function solid(name: string, least: number, most = least): Material {
  return { id: name.toLowerCase().replace(/[^a-z]+/g, '-'), name, phase: 'solid', density: [least, most] };
}

function liquid(name: string, least: number, most = least): Material {
  return { ...solid(name, least, most), phase: 'liquid' };
}

/** Accepted densities (tables of physical constants; makers' data for glasses and plastics). */
export const MATERIALS: readonly Material[] = [
  solid('Magnesium', 1.74),
  solid('Aluminium', 2.7),
  solid('Titanium', 4.51),
  solid('Zinc', 7.14),
  solid('Tin', 7.29),
  solid('Iron', 7.87),
  solid('Mild steel', 7.85),
  solid('Stainless steel', 7.7, 8.0),
  solid('Brass', 8.4, 8.7),
  solid('Bronze', 8.7, 8.9),
  solid('Nickel', 8.91),
  solid('Copper', 8.96),
  solid('Silver', 10.49),
  solid('Lead', 11.34),
  solid('Tungsten', 19.25),
  solid('Gold', 19.3),
  solid('Soda glass', 2.46, 2.54),
  solid('Borosilicate glass', 2.23),
  solid('Quartz', 2.65),
  solid('Slate', 2.7, 2.8),
  solid('Basalt', 2.8, 3.0),
  solid('Marble', 2.6, 2.8),
  solid('Granite', 2.6, 2.75),
  solid('Polypropylene', 0.9),
  solid('Polyethylene HD', 0.94, 0.97),
  solid('Polystyrene', 1.04, 1.06),
  solid('Nylon', 1.13, 1.15),
  solid('Acrylic', 1.17, 1.2),
  solid('PVC', 1.35, 1.45),
  solid('PTFE', 2.14, 2.2),
  solid('Balsa', 0.12, 0.2),
  solid('Cork', 0.2, 0.26),
  solid('Pine', 0.4, 0.6),
  solid('Oak', 0.6, 0.9),
  solid('Ebony', 1.0, 1.2),
  solid('Paraffin wax', 0.88, 0.92),
  solid('Beeswax', 0.95, 0.97),
  liquid('Propan-2-ol', 0.785),
  liquid('Ethanol', 0.789),
  liquid('Methanol', 0.791),
  liquid('Acetone', 0.79),
  liquid('Olive oil', 0.911, 0.918),
  liquid('Sea water', 1.02, 1.03),
  liquid('Brine', 1.03, 1.2),
  liquid('Lamp oil', 0.78, 0.82),
  liquid('Ethylene glycol', 1.113),
  liquid('Glycerol', 1.261),
];

/** The material with this id, if it is in the table. */
export function materialById(id: string): Material | undefined {
  return MATERIALS.find((material) => material.id === id);
}
