export { x11Command } from './shipped.ts';
