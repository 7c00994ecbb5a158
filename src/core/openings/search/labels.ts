/**
 * How much to trust an explanation, by its share of the weight of all. Nothing that was put into the paper itself is very likely:
 * what the hand meant that wrote it is not to be seen from here.
 */
export const trustOf = (weight: number, inPaper: boolean): 'very likely' | 'likely' | 'possible' | 'less likely' =>
  weight > 0.6 && !inPaper ? 'very likely' : weight > 0.2 ? 'likely' : weight > 0.03 ? 'possible' : 'less likely';
