import type { Body } from './body';

/**
 * How a boat lies: its waterline by heel and trim, rad, and by how far it is above the middle of the base
 * line.
 */
export interface Attitude {
  /** Starboard down. */
  heel: number;
  /** Bow up. */
  trim: number;
  /**
   * From the middle of the base line to the waterline, square to it in the heeled section, m: the draft times
   * the cosine of heel.
   */
  rise: number;
}

/**
 * What lies under a waterline: volume and its moments, and the waterline's own breadth and moments, which say
 * how those change.
 */
export interface Immersed {
  volume: number;
  mx: number;
  my: number;
  mz: number;
  /** Waterplane: integrals over breadth s and length x of 1, x, x², s, s x, s². x from mid-length. */
  w: number;
  wx: number;
  wxx: number;
  ws: number;
  wsx: number;
  wss: number;
}

/**
 * What of some bodies lies under a waterline. Green's theorem along the edges of each slice: with s across
 * along the waterline and d down from it, the part under water is the integral of d over s along what of each
 * edge is under, no matter how the outline winds.
 * @param midM mid-length of the hull, where heel and trim are reckoned from
 */
export function immersed(bodies: readonly Body[], { heel, trim, rise }: Attitude, midM: number): Immersed {
  const sin = Math.sin(heel);
  const cos = Math.cos(heel);
  const slope = Math.tan(trim);
  const sum: Immersed = { volume: 0, mx: 0, my: 0, mz: 0, w: 0, wx: 0, wxx: 0, ws: 0, wsx: 0, wss: 0 };
  for (const { sign, x, weight, from, y, z, port, starboard, low } of bodies)
    for (let i = 0; i < x.length; i += 1) {
      const begin = from[i] as number;
      const end = from[i + 1] as number;
      const along = (x[i] as number) - midM;
      const lift = rise - along * slope;
      const reach = (sin > 0 ? starboard[i] : port[i]) as number;
      if (cos > 0 && reach * sin - (low[i] as number) * cos + lift <= 0) continue;
      let area = 0;
      let areaS = 0;
      let areaD = 0;
      let width = 0;
      let widthS = 0;
      let widthSS = 0;
      let y1 = y[end - 1] as number;
      let z1 = z[end - 1] as number;
      let s1 = y1 * cos + z1 * sin;
      let d1 = y1 * sin - z1 * cos + lift;
      for (let k = begin; k < end; k += 1) {
        y1 = y[k] as number;
        z1 = z[k] as number;
        const s2 = y1 * cos + z1 * sin;
        const d2 = y1 * sin - z1 * cos + lift;
        if (d1 > 0 || d2 > 0) {
          let sa = s1;
          let da = d1;
          let sb = s2;
          let db = d2;
          if (d1 <= 0) {
            sa = s1 + ((s2 - s1) * d1) / (d1 - d2);
            da = 0;
            width -= sa;
            widthS -= sa * sa;
            widthSS -= sa * sa * sa;
          } else if (d2 <= 0) {
            sb = s1 + ((s2 - s1) * d1) / (d1 - d2);
            db = 0;
            width += sb;
            widthS += sb * sb;
            widthSS += sb * sb * sb;
          }
          const ds = sb - sa;
          area += ds * (da + db);
          areaS += ds * (2 * sa * da + sa * db + sb * da + 2 * sb * db);
          areaD += ds * (da * da + da * db + db * db);
        }
        s1 = s2;
        d1 = d2;
      }
      if (area === 0 && width === 0) continue;
      const by = sign * (weight[i] as number);
      area *= 0.5 * by;
      areaS *= by / 6;
      // Down from the waterline: turned back to the boat's own axes, what lies between waterline and base is
      // put in.
      const down = (areaD * by) / 6 - area * lift;
      width *= by;
      widthS *= by / 2;
      sum.volume += area;
      sum.mx += area * along;
      sum.my += areaS * cos + down * sin;
      sum.mz += areaS * sin - down * cos;
      sum.w += width;
      sum.wx += width * along;
      sum.wxx += width * along * along;
      sum.ws += widthS;
      sum.wsx += widthS * along;
      sum.wss += (widthSS * by) / 3;
    }
  return sum;
}
