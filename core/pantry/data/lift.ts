import type { Ingredient } from '../ingredient'

// Soda: 1/84.01 g/mol = 11.9 mmol base and CO2 per g. Double-acting powder: at least 12 % CO2 by law
// in the US (21 CFR 101/FCC usage), 3 mmol/g in practice, its own acid included. Cream of tartar
// (188.18 g/mol) 5.3 mmol/g. Vinegar 5 % acetic: 0.83 mmol/g. Citric acid (192.1 g/mol, three acid groups): 15.6.
export const LIFT: Ingredient[] = [
  { id: 'baking-powder', kind: 'leavener', names: ['baking powder', 'double-acting baking powder', 'double acting baking powder', 'aluminum-free baking powder'], per100: { water: 4, starch: 35, co2: 300 }, gramsPerMl: { spooned: 0.93 }, packages: { any: 16 }, labels: ['gluten', 'wheat'], source: 'US standard: 12 % CO2 at least; starch filler' },
  { id: 'baking-soda', kind: 'leavener', names: ['baking soda', 'bicarbonate of soda', 'bicarb', 'bicarb soda', 'sodium bicarbonate', 'cooking soda', 'bicarbonate soda', 'bi-carb soda'], called: { uk: 'bicarbonate of soda', au: 'bicarbonate of soda', eu: 'bicarbonate of soda' }, per100: { base: 1190, salt: 0 }, gramsPerMl: { spooned: 0.96 }, source: 'Stoichiometry of sodium bicarbonate' },
  { id: 'cream-of-tartar', kind: 'acid', names: ['cream of tartar', 'potassium bitartrate', 'tartaric acid powder'], per100: { acid: 530 }, gramsPerMl: { spooned: 0.65 }, source: 'Stoichiometry of potassium hydrogen tartrate' },
  { id: 'ammonium-bicarbonate', kind: 'leavener', names: ["baker's ammonia", 'ammonium bicarbonate', 'hartshorn', 'bakers ammonia'], per100: { co2: 1265 }, gramsPerMl: { spooned: 0.9 }, source: 'Stoichiometry of ammonium bicarbonate; for thin dry biscuits only' },
  { id: 'yeast-dry', kind: 'leavener', names: ['yeast', 'dried yeast', 'instant yeast', 'active dry yeast', 'fast-action yeast'], per100: { water: 5, otherProtein: 40, fibre: 27 }, gramsPerMl: { spooned: 0.63 }, packages: { any: 7 }, source: "USDA SR Legacy: Leavening agents, yeast, baker's, active dry" },
  { id: 'vinegar', kind: 'acid', names: ['vinegar', 'white vinegar', 'cider vinegar', 'apple cider vinegar', 'white wine vinegar', 'distilled vinegar', 'wine vinegar', 'rice vinegar', 'synthetic vinegar'], per100: { water: 94.5, acid: 83 }, gramsPerMl: { poured: 1.01 }, labels: ['sulphites', 'gluten'], source: 'Acetic acid 5 % (60.05 g/mol)' },
  { id: 'citric-acid', kind: 'acid', names: ['citric acid', 'sour salt', 'lemon salt'], per100: { acid: 1560 }, gramsPerMl: { spooned: 0.9 }, source: 'Stoichiometry of citric acid, three acid groups' },
  { id: 'salt', kind: 'salt', names: ['salt', 'fine salt', 'table salt', 'sea salt', 'fine sea salt', 'kosher salt', 'flaky salt', 'flaky sea salt', 'sea salt flakes', 'coarse salt'], per100: { salt: 100 }, gramsPerMl: { spooned: 1.2 }, source: 'USDA SR Legacy: Salt, table' },
]
