package dev.lonja.core.person;

/** What a person may do; someone may have several. */
public enum Role {
  /** Keeps the store: lays, hands over, books, edits what is kept. */
  STOREKEEPER,
  /** Sees what is used and what it costs, to order it. */
  BUYER,
  /** Asks for parts, reads meters, sees machines; no prices. */
  WORKSHOP,
  /** Reads everything and the audit, changes nothing. */
  AUDITOR,
  /** Says who may do what, keeps the backups, and may do what a storekeeper may. */
  ADMINISTRATOR
}
