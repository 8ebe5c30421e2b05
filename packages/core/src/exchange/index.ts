export * from './rooms-csv';
export * from './outlines-dxf';
export * from './drawn';
export * from './room-dxf';
export * from './room-svg';
export * from './letters';
export * from './weather-csv';
export * from './job-zip';
