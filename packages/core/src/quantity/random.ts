/** Seeded randomness. The core never calls Math.random: whoever wants chance passes it in. */
export interface Random {
  /** Uniform in [0, 1). */
  next(): number;
  /** Standard normal. */
  normal(): number;
  /** Log-normal with median 1 and the given relative standard deviation. */
  logNormal(relativeSd: number): number;
}

/**
 * A small, fast, well-mixed generator (mulberry32, public domain, T. Ettinger).
 * Not for secrets. The same seed gives the same stream on every machine.
 */
export function seeded(seed: number): Random {
  let a = seed >>> 0;
  const next = (): number => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = a;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  const normal = (): number => {
    const u = Math.max(next(), 1e-12);
    return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * next());
  };
  return { next, normal, logNormal: (sd) => Math.exp(sd * normal()) };
}

/** A seed from a text (FNV-1a, 32 bit), so that a cook's id decides its chance. */
export function seedFrom(text: string): number {
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) {
    h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  }
  return h >>> 0;
}
