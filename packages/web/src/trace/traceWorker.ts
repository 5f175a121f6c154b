import { expose } from 'comlink';
import { traceApi } from './traceApi.ts';

expose(traceApi);
