import { benchMeasuring } from './bench/measuring-speed.ts';
const a = process.cpuUsage(); benchMeasuring(); benchMeasuring(); benchMeasuring(); const b = process.cpuUsage(a); console.log('cpu', Math.round((b.user + b.system) / 1000));
