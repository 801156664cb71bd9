// Loads in the unit printed on a machine; kilograms everywhere else.
const KG_PER_LB = 0.45359237;
export const toKg = (value: number, unit: string) => (unit === "lb" ? value * KG_PER_LB : value);
export const fromKg = (kg: number, unit: string) => Math.round((unit === "lb" ? kg / KG_PER_LB : kg) * 100) / 100;
