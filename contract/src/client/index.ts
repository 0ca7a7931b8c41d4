export * from './api';
export { call, readAnswer, Strange, type Call, type Endpoint, type Query } from './call';
