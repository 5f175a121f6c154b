import { shopOfYears } from '../bench/shopOfYears.ts';
console.log(await shopOfYears());
