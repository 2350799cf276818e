import { describe, expect, it } from 'vitest';
import { aWorld } from '~/testing/world';
import { type Leg, legOf, returning } from './returnHome';
import { Session } from './session';

const world = aWorld();
Object.assign(world.start, { east_m: 30, north_m: -40, up_m: 6, heading_deg: 130 });
for (const axis of Object.values(world.response.axes)) axis.share = 0.1;

describe('the return home', () => {
  it('climbs first, comes home at its height, and lands gently on the spot, whichever way it looks', () => {
    const session = new Session(world, null);
    let leg = 'up' as Leg;
    let lowestOnWay = Number.POSITIVE_INFINITY;
    for (let k = 0; k < 50 * 120 && leg !== 'landed'; k++) {
      session.advance(k * 20, () => {
        leg = legOf(world, session.now.pose, 20, leg);
        if (leg === 'home') lowestOnWay = Math.min(lowestOnWay, session.now.pose.z);
        return { fingers: returning(world, session.now.pose, 20, leg), automated: true };
      });
    }
    const { pose } = session.now;
    expect(leg).toBe('landed');
    expect(Math.hypot(pose.x, pose.y)).toBeLessThan(1);
    expect(lowestOnWay).toBeGreaterThan(19);
    expect(session.now.ending).toBeNull();
    expect(session.automated).toHaveLength(1);
  });
});
