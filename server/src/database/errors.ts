/** What a store cannot do, in its own words; `http/problemFilter` makes answers of them. */
export class StoreError extends Error {}

export class NoSuchRecord extends StoreError {
  constructor(
    readonly noun: string,
    readonly id: string,
  ) {
    super(`No ${noun} has the id ${id}.`);
  }
}

/** Somebody wrote after what a write was made from was read. */
export class StaleWrite extends StoreError {
  constructor(
    readonly noun: string,
    readonly current: object,
  ) {
    super(`Someone changed this ${noun} after you read it. Its current state is in "current".`);
  }
}

/** A new record names an id that another has. */
export class IdTaken extends StoreError {
  constructor(
    readonly noun: string,
    readonly current: object,
    /** It is there, but deleted: it can be brought back. */
    readonly isRemoved: boolean,
  ) {
    super(`There is a ${noun} of that id already. It is in "current".`);
  }
}

/** A record that others name is not removed, and does not leave what they need it for. */
export class InUse extends StoreError {
  constructor(
    readonly noun: string,
    readonly users: readonly string[],
  ) {
    super(`Used by: ${users.join(', ')}.`);
  }
}

/** A field names a record that is not there. */
export class NothingThere extends StoreError {
  constructor(
    readonly field: string,
    readonly ids: readonly string[],
    message: string,
  ) {
    super(message);
  }
}

/** A record cannot come back before one that it names. */
export class NeedsFirst extends StoreError {
  constructor(
    readonly noun: string,
    readonly field: string,
  ) {
    super(`What this ${noun} names in ${field} was removed: bring that back first.`);
  }
}

/** The same key with another request. */
export class KeyUsedAgain extends StoreError {
  constructor() {
    super('This Idempotency-Key was used for another request.');
  }
}

/** What is kept of a record is not what its kind can be. */
export class DamagedRecord extends StoreError {
  constructor(
    readonly noun: string,
    readonly id: string,
    readonly complaints: readonly string[],
  ) {
    super(`What is kept of this ${noun} cannot be read: ${complaints.join(' ')}`);
  }
}

/** The database cannot be read or written: as long as that is so, nothing is. */
export class DatabaseUnavailable extends StoreError {
  constructor(
    message: string,
    /** A full disk or a foreign lock may pass; a file that is broken stays so. */
    readonly mayPass = false,
    /** Another program holds it: it is well, and soon free perhaps. */
    readonly isHeld = false,
  ) {
    super(message);
  }
}
