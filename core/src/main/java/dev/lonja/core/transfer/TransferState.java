package dev.lonja.core.transfer;

/** Where a transfer stands. */
public enum TransferState {
  /** One place asks for it; the other may be picking. */
  ASKED,
  /** It is on its way. */
  SENT,
  /** All of it came, or it is settled what became of the rest. */
  CLOSED,
  /** Given up before it left. */
  DROPPED
}
