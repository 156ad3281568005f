export * from './cups-file';
