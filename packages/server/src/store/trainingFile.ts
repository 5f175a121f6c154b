/** The training database beside a shop's database. */
export const trainingFileOf = (database: string): string => `${database}.practice`;
