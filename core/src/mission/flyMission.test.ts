import { describe, expect, it } from 'vitest';
import { flyMission } from './flyMission';
import { flight, leg, often, plainCraft, plainCrew, plainDraw, plainStore, VOLTS } from './fixture';

const fly = (m: ReturnType<typeof flight>, more = {}) => flyMission(m, plainCrew(more), 'plain');

describe('a mission leg by leg', () => {
  it('carries time, way, height and energy from leg to leg', () => {
    const f = fly(
      flight([
        leg('off', 'takeOff'),
        leg('up', 'climb', { height: 20 }),
        leg('out', 'straight', { length: 300 }),
        leg('down', 'glide'),
      ]),
    );
    expect(f.legs.map((l) => l.time)).toEqual([4, 10, 20, 20 / 1.2]);
    expect(f.legs.map((l) => l.energy)).toEqual([800, 2000, 2000, 0]);
    expect(f.legs.map((l) => l.height)).toEqual([0, 20, 20, 0]);
    expect(f.legs[2].from).toBe(14);
    expect(f.legs[3].distance).toBeCloseTo(200, 6);
    expect(f.energy).toBe(4800);
    expect(f.ending.by).toBe('done');
  });

  it('units that are let go make it lighter, and more than there are end it', () => {
    const crew = { craft: () => plainCraft({ units: 2, mass: 2.2 }) },
      drops = (n: number) => Array.from({ length: n }, (_, i) => leg(`d${i}`, 'drop', { units: 1, time: 2 }));
    const two = fly(flight(drops(2)), crew);
    expect(two.legs.map((l) => l.after.mass)).toEqual([2.1, 2.0].map((m) => expect.closeTo(m, 9)));
    expect(two.given).toBe(2);
    const three = fly(flight(drops(3)), crew);
    expect(three.ending).toMatchObject({ by: 'cargo', leg: 'd2' });
  });

  it('a leg that names no state is flown as the one before left it; reloading leads to its state', () => {
    const crew = {
      craft: (s: string) => (s === 'full' ? plainCraft({ state: s, units: 4 }) : plainCraft({ state: s })),
    };
    const f = fly(
      flight([
        leg('out', 'straight', { length: 150, state: 'full' }),
        leg('give', 'unload', { time: 20 }),
        leg('home', 'straight', { length: 150 }),
        leg('fetch', 'reload', { time: 30, state: 'full' }),
        leg('again', 'straight', { length: 150 }),
      ]),
      crew,
    );
    expect(f.legs.map((l) => l.before.units)).toEqual([4, 4, 0, 0, 4]);
    expect(f.given).toBe(4);
    expect(f.legs[1]).toMatchObject({ energy: 0, height: expect.any(Number) });
  });
});

describe('what ends it', () => {
  const lap = [leg('s', 'straight', { length: 150, count: 2 })];

  it('the clock, with the rounds that fit and what the pack would allow', () => {
    const f = fly(often(lap, 90));
    expect(f.ending).toMatchObject({ by: 'clock', counted: true, leg: null });
    expect(f.rounds).toBeCloseTo(4.5, 9);
    expect(f.ending.next).toMatchObject({ by: 'charge', rounds: expect.closeTo(7200 / (2000 / VOLTS), 6) });
    expect(f.legs).toHaveLength(4);
  });

  it('the pack, down to the reserve', () => {
    const store = plainStore({ full: 1000, usable: 1000 }),
      f = fly(often(lap, 3600), { stores: { drive: store, lift: store }, reserve: 0.2 });
    expect(f.ending.by).toBe('charge');
    expect(f.rounds).toBeCloseTo(800 / (2000 / VOLTS), 6);
    expect(f.share).toBeLessThanOrEqual(1);
  });

  it('rounds leave enough for what comes after them', () => {
    const after = { id: 'home', name: 'Home', times: 1, legs: [leg('land', 'land', { time: 25 })] },
      m = { ...often(lap, 90), rounds: [...often(lap, 90).rounds, after] };
    const f = fly(m);
    expect(f.rounds).toBeCloseTo((90 - 25) / 20, 9);
    expect(f.time).toBe(3 * 20 + 25);
  });

  it('a strip that is too short, a height that was not allowed, a turn that stalls: that leg', () => {
    const short = { takeOff: { seconds: 4, way: 50, room: 40, speed: 10, done: true } },
      strip = fly(flight([leg('off', 'takeOff'), leg('out', 'straight', { length: 100 })]), {
        craft: () => plainCraft(short),
      });
    expect(strip.ending).toMatchObject({ by: 'strip', leg: 'off' });
    expect(strip.reached).toBe(1);
    const limits = { height: 30, mass: null },
      high = fly(flight([leg('up', 'climb', { height: 40 })]), { limits });
    expect(high.ending).toMatchObject({ by: 'height', leg: 'up' });
    const tight = fly(flight([leg('round', 'turn', { bank: 1.35 })]));
    expect(tight.ending.by).toBe('stall');
  });

  it('a glider that is on the ground before its turn is over', () => {
    const craft = () => plainCraft({ powered: false, climb: () => null, level: () => null }),
      f = fly(flight([leg('round', 'turn', { angle: 2 * Math.PI, speed: 12 })]), { craft });
    expect(f.ending.by).toBe('ground');
    expect(f.legs[0].margin).toMatchObject({ of: 'ground' });
  });

  it('thrown it begins at the hand, and glides down from there', () => {
    const away = { seconds: 1, way: 5, room: null, speed: 12, done: true },
      craft = () => plainCraft({ powered: false, climb: () => null, level: () => null, takeOff: away }),
      f = fly(flight([leg('throw', 'takeOff'), leg('down', 'glide')]), { craft, hand: 2 });
    expect(f.legs.map((l) => l.height)).toEqual([2, 0]);
    expect(f.legs[1].distance).toBeCloseTo(20, 6);
    expect(f.ending.by).toBe('done');
  });

  it('a task that does not fit its leg is told, and ends nothing', () => {
    const f = fly(flight([leg('let', 'letOut', { time: 18, speed: 19, length: 160 })]));
    expect(f.legs[0].done.room).toEqual({ of: 'leg', needs: 342, has: 160 });
    expect(f.ending.by).toBe('done');
  });
});

describe('laws', () => {
  const body = [
    leg('a', 'climb', { height: 30 }),
    leg('b', 'straight', { length: 400 }),
    leg('c', 'turn', { count: 2 }),
  ];

  it('a mission cut in two is the whole', () => {
    const whole = fly(flight(body)),
      cut = fly(
        flight([], {
          rounds: [
            { id: 'one', name: 'One', times: 1, legs: body.slice(0, 2) },
            { id: 'two', name: 'Two', times: 1, legs: body.slice(2) },
          ],
        }),
      );
    for (const of of ['time', 'distance', 'energy', 'charge', 'share', 'peak'] as const)
      expect(cut[of]).toBeCloseTo(whole[of], 9);
    const halves = fly(
        flight([leg('x', 'straight', { length: 200 }), leg('y', 'straight', { length: 200 })]),
      ),
      one = fly(flight([leg('z', 'straight', { length: 400 })]));
    expect(halves.energy).toBeCloseTo(one.energy, 9);
  });

  it('the wind turned round changes nothing on a closed course', () => {
    const round = [
        leg('out', 'straight', { length: 300 }),
        leg('t', 'turn'),
        leg('back', 'straight', { length: 300 }),
        leg('u', 'turn'),
      ],
      at = (from: number) => fly(flight(round, { bearing: 1 }), { wind: { speed: 5, from } });
    for (const from of [0, 0.4, 1, 2.2]) expect(at(from + Math.PI).time).toBeCloseTo(at(from).time, 9);
    // along the course it is the mean of with and against, which is what is flown where nobody says how it blows
    expect(at(1).time).toBeCloseTo(fly(flight(round), { wind: { speed: 5, from: null } }).time, 9);
    expect(at(1).time).toBeGreaterThan(at(1 + Math.PI / 2).time);
  });

  it('more pack never leaves less', () => {
    let before = -1;
    for (const full of [2000, 3000, 5000, 9000]) {
      const store = plainStore({ full, usable: full }),
        left = 1 - fly(flight(body), { stores: { drive: store, lift: store } }).share;
      expect(left).toBeGreaterThan(before);
      before = left;
    }
  });

  it('held at one charge a round costs the same each time; run down, volts fall and currents rise', () => {
    const draw = {
      ...plainDraw(100),
      at: (soc: number) => {
        const open = 10 + 2 * soc;
        return { current: 100 / open, open, voltage: open, power: 100, duty: 0.5 };
      },
    };
    const m = often([leg('s', 'straight', { length: 150 })], 100),
      crew = { craft: () => plainCraft({ level: () => draw }) };
    const still = fly(m, { ...crew, held: 0.5 }),
      down = fly(m, crew);
    expect(new Set(still.legs.map((l) => l.charge)).size).toBe(1);
    const currents = down.legs.map((l) => l.current);
    expect(currents).toEqual([...currents].sort((a, b) => a - b));
    expect(down.legs.at(-1)!.volts).toBeLessThan(down.legs[0].volts);
  });
});
