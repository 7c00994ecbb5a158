/** How much to trust an explanation, by its share of the weight of all. */
export const trustOf = (weight: number): 'very likely' | 'likely' | 'possible' | 'less likely' =>
  weight > 0.6 ? 'very likely' : weight > 0.2 ? 'likely' : weight > 0.03 ? 'possible' : 'less likely';
