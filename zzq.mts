import { run, show, needs } from './zzlib.mts';
show('5 automatic in surf: swap', 'pollack-long-grey', { without: ['foam-jacket', 'inflatable-jacket'], addOwn: ['auto-jacket'] }, /automatic|buoyancy|foam/);
show('5 rods', 'zander-dusk', { addOwn: ['jig-rod', 'travel-rod'], without: ['permit'] }, /rods/, true);
show('4 0.50 of 0.51 wanted', 'pollack-long-grey', { without: ['net', 'wide-net'], add: [['n2', 'net', { attributes: { hoopM: 0.5, handleM: 0.4 } }]] }, /land-fish|net/, true);
needs('4', 'pollack-long-grey', { without: ['net', 'wide-net'], add: [['n2', 'net', { attributes: { hoopM: 0.5, handleM: 0.4 } }]] }, ['land-fish']);
