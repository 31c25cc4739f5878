import fc from 'fast-check';
import {
  createDraughtNetwork,
  orificeFlow,
  solveDraught,
  humidityRatio,
  saturationPressure,
  vapourPressure,
  wetBulb,
  solveDense,
} from '@ostrin/core/internals';

describe('moist air', () => {
  it('turns vapour pressure into a ratio and back', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 50000, noNaN: true }), (pa) => {
        expect(vapourPressure(humidityRatio(pa, 101325), 101325)).toBeCloseTo(pa, 3);
      }),
    );
  });

  it('keeps the wet bulb between nothing and the dry bulb', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 90, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        (dry, rh) => {
          const w = wetBulb(dry, humidityRatio(rh * saturationPressure(dry), 101325), 101325);
          expect(w).toBeLessThanOrEqual(dry + 1e-6);
          expect(w).toBeGreaterThan(-30);
        },
      ),
    );
  });
});

describe('draught', () => {
  const area = fc.double({ min: 1e-5, max: 0.02, noNaN: true });

  it('lets in what it lets out, whatever the holes', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            areaM2: area,
            heightM: fc.double({ min: 0, max: 1, noNaN: true }),
            windPressureCoefficient: fc.double({ min: -0.6, max: 0.8, noNaN: true }),
          }),
          { minLength: 2, maxLength: 8 },
        ),
        fc.double({ min: 300, max: 800, noNaN: true }),
        fc.double({ min: 0, max: 15, noNaN: true }),
        (holes, insideK, wind) => {
          const outside = 1.2;
          const inside = (outside * 290) / insideK;
          const net = createDraughtNetwork(holes);
          holes.forEach((o, i) => {
            net.buoyancyPa[i] = 9.81 * (outside - inside) * o.heightM;
            net.insideDensity[i] = inside;
          });
          solveDraught(net, 0.5 * outside * wind * wind, outside);
          const sum = net.flow.reduce((a, b) => a + b, 0);
          const through = net.flow.reduce((a, b) => a + Math.abs(b), 0);
          expect(Math.abs(sum)).toBeLessThan(1e-6 + 1e-5 * through);
        },
      ),
    );
  });

  it('draws in below and out above when it is warm inside, and more when warmer', () => {
    const flowAt = (insideK: number): number => {
      const net = createDraughtNetwork([
        { areaM2: 1e-3, heightM: 0, windPressureCoefficient: 0 },
        { areaM2: 1e-3, heightM: 0.5, windPressureCoefficient: 0 },
      ]);
      const inside = (1.2 * 290) / insideK;
      net.insideDensity.fill(inside);
      net.buoyancyPa[1] = 9.81 * (1.2 - inside) * 0.5;
      solveDraught(net, 0, 1.2);
      expect(net.flow[0]).toBeGreaterThan(0);
      expect(net.flow[1]).toBeLessThan(0);
      return net.flow[0]!;
    };
    expect(flowAt(420)).toBeGreaterThan(flowAt(340));
  });

  it('is odd in the pressure and smooth through nothing', () => {
    expect(orificeFlow(1e-3, 1.2, 2)).toBeCloseTo(-orificeFlow(1e-3, 1.2, -2), 12);
    expect(orificeFlow(1e-3, 1.2, 0)).toBe(0);
  });
});

describe('the dense solve', () => {
  it('solves what it is given', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -5, max: 5, noNaN: true }), { minLength: 20, maxLength: 20 }),
        (values) => {
          const n = 4;
          const a = new Float64Array(values.slice(0, 16));
          for (let i = 0; i < n; i++) a[i * n + i]! += 40;
          const b = new Float64Array(values.slice(16));
          const x = Float64Array.from(b);
          solveDense(Float64Array.from(a), x, n);
          for (let i = 0; i < n; i++) {
            let sum = 0;
            for (let k = 0; k < n; k++) sum += a[i * n + k]! * x[k]!;
            expect(sum).toBeCloseTo(b[i]!, 8);
          }
        },
      ),
    );
  });
});
