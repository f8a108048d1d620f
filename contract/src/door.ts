/** What somebody may do, each more than the one before: look; log; decide; all of it. */
export const ROLES = ['viewer', 'hand', 'lead', 'owner'] as const;
export type Role = (typeof ROLES)[number];

/** How it is known who wrote an entry: as it was said; a page where he is signed in; his pin on a shop's tablet; his phrase, typed for this. */
export const KNOWN_HOW = ['claimed', 'session', 'pin', 'phrase'] as const;
export type KnownHow = (typeof KNOWN_HOW)[number];

/** Whoever asks. */
export interface Me {
  /** Null: a tablet of the shop's own, in whoever's hands. */
  readonly personId: string | null;
  readonly tabletId: string | null;
  /** The person's name, or the tablet's. */
  readonly name: string;
  readonly role: Role;
  readonly isInspector: boolean;
}

export interface DoorInfo {
  /** Without an owner there is no sign-in: whoever has an account on this computer can write. */
  readonly hasOwner: boolean;
  /** Null: not signed in. */
  readonly me: Me | null;
  /** What is sent is encrypted. Without it phrases and pins can be read by anyone on the network. */
  readonly isEncrypted: boolean;
}

/** Who may come in, as the owner sees it. */
export interface Account {
  readonly personId: string;
  readonly role: Role;
  readonly isInspector: boolean;
  /** Came by an invitation, and is not let in yet. */
  readonly isWaiting: boolean;
  readonly hasPin: boolean;
  readonly version: number;
}
export interface Tablet {
  readonly tabletId: string;
  readonly name: string;
  readonly enrolledAtMs: number;
}
export interface Accounts {
  readonly accounts: readonly Account[];
  readonly tablets: readonly Tablet[];
}

/** An invitation, shown this once: its token stands behind the # of a link, where no server logs it. */
export interface Invitation {
  readonly token: string;
  readonly expiresAtMs: number;
}

/** What a sign-off of a part would cover now. */
export interface ToSign {
  readonly partId: string;
  readonly name: string;
  readonly facts: readonly string[];
  readonly stock: readonly string[];
  /** Over the text of those entries. */
  readonly sha256: string;
  readonly openFindings: number;
  /** Coats on it, and when the last entry was made. */
  readonly coats: number;
  readonly lastAtMs: number | null;
  /** Whoever asks has worked on it. */
  readonly isOwnWork: boolean;
}
