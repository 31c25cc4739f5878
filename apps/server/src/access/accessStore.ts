/** Who may come in: the passcode, devices that are signed in, and invitations. Secrets are kept as hashes only. */
import type { Device, Role } from '@ostrin/contract';
import { DAY_MS, MINUTE_MS } from '@ostrin/core/quantity';
import argon2 from 'argon2';
import type { Knex } from 'knex';
import { createHash, randomBytes, randomInt, randomUUID } from 'node:crypto';

/** A device that is signed in, as it is stored. */
interface SessionRow {
  id: string;
  token_hash: string;
  device: string;
  name: string;
  role: Role;
  created_ms: number;
  seen_ms: number;
}

interface InviteRow {
  code_hash: string;
  role: Role;
  until_ms: number;
}

/** A session ends when its device has not been seen for so long, ms. */
const SESSION_MS = 90 * DAY_MS;
/** An invitation is good for so long, ms, and once. */
const INVITE_MS = 15 * MINUTE_MS;
/** The time a device was seen is written so often at most, ms: not with every request. */
const SEEN_EVERY_MS = MINUTE_MS;

/** Letters and figures that cannot be mistaken for each other, in ten places: 49 bits. */
const LETTERS = '23456789abcdefghjkmnpqrstuvwxyz';
const CODE_LENGTH = 10;

/** A new passcode or invitation, such as `k7fq2-mwxpd`. */
export function newCode(): string {
  const letters = Array.from({ length: CODE_LENGTH }, () => LETTERS[randomInt(LETTERS.length)]);
  return `${letters.slice(0, 5).join('')}-${letters.slice(5).join('')}`;
}

/** What was typed, as it is compared: capitals, spaces and hyphens do not count. */
export const plainCode = (typed: string): string => typed.toLowerCase().replace(/[\s-]/g, '');

const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');

const deviceOf = (r: SessionRow): Device => ({
  id: r.id,
  device: r.device,
  name: r.name,
  role: r.role,
  createdAt: r.created_ms,
  seenAt: r.seen_ms,
});

/** The repository of access. `now` is the server's clock. */
export function accessStore(db: Knex, now: () => number) {
  const seen = new Map<string, number>();
  return {
    /** Sets the passcode; devices that are signed in stay so. */
    async setPasscode(passcode: string): Promise<void> {
      const hash = await argon2.hash(plainCode(passcode), { type: argon2.argon2id });
      await db('access').insert({ of: 'passcode', hash }).onConflict('of').merge();
    },

    async hasPasscode(): Promise<boolean> {
      return (await db('access').where({ of: 'passcode' }).first()) !== undefined;
    },

    /** The role that a passcode or an invitation gives; null where it is neither. An invitation is used up. */
    async roleFor(typed: string): Promise<Role | null> {
      const code = plainCode(typed);
      const code_hash = sha256(code);
      const invite = await db<InviteRow>('invites').where({ code_hash }).first();
      if (invite) {
        const used = await db<InviteRow>('invites').where({ code_hash }).delete();
        if (used > 0 && invite.until_ms > now()) return invite.role;
      }
      const row = await db<{ of: string; hash: string }>('access')
        .where({ of: 'passcode' })
        .first();
      return row && (await argon2.verify(row.hash, code)) ? 'cook' : null;
    },

    /** Makes an invitation for one device. Returns its code, which is not kept. */
    async invite(role: Role): Promise<{ code: string; until: number }> {
      const code = newCode();
      const until = now() + INVITE_MS;
      await db<InviteRow>('invites').where('until_ms', '<', now()).delete();
      const code_hash = sha256(plainCode(code));
      await db<InviteRow>('invites').insert({ code_hash, role, until_ms: until });
      return { code, until };
    },

    /** Signs a device in. Returns the token that it shows from now on. */
    async signIn(device: string, name: string, role: Role): Promise<string> {
      const token = randomBytes(32).toString('base64url');
      await db<SessionRow>('sessions').insert({
        id: randomUUID(),
        token_hash: sha256(token),
        device,
        name,
        role,
        created_ms: now(),
        seen_ms: now(),
      });
      return token;
    },

    /** The device that shows a token; null where none does, or it was not seen for too long. */
    async deviceFor(token: string): Promise<Device | null> {
      const row = await db<SessionRow>('sessions')
        .where({ token_hash: sha256(token) })
        .first();
      if (!row) return null;
      const lastSeen = Math.max(row.seen_ms, seen.get(row.id) ?? 0);
      if (now() - lastSeen > SESSION_MS) {
        await db<SessionRow>('sessions').where({ id: row.id }).delete();
        return null;
      }
      if (now() - lastSeen > SEEN_EVERY_MS) {
        seen.set(row.id, now());
        await db<SessionRow>('sessions').where({ id: row.id }).update({ seen_ms: now() });
      }
      return deviceOf(row);
    },

    /** All devices, the one seen last first. */
    async devices(): Promise<Device[]> {
      return (await db<SessionRow>('sessions').orderBy('seen_ms', 'desc')).map(deviceOf);
    },

    /** Signs a device out. False where there is none. */
    async signOut(id: string): Promise<boolean> {
      return (await db<SessionRow>('sessions').where({ id }).delete()) > 0;
    },

    /** Gives a device another role. False where there is none. */
    async setRole(id: string, role: Role): Promise<boolean> {
      return (await db<SessionRow>('sessions').where({ id }).update({ role })) > 0;
    },
  };
}

export type AccessStore = ReturnType<typeof accessStore>;
