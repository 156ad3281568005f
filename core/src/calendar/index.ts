export * from './week-calendar';
