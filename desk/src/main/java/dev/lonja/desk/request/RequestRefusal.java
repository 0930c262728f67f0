package dev.lonja.desk.request;

/** What is wrong with a request as such, whatever it asks for. */
public enum RequestRefusal implements Refusal {
  /** It has no key by which a second sending could be told from it. */
  KEY_LOST,
  /** It was shown to somebody else. */
  NOT_YOURS,
  /** Its key was used before, for something else. */
  OTHER_CONTENT,
  /** It waited longer than anything may that was done without a network. */
  TOO_LATE,
  /** What it was made of was changed by someone else since it was shown. */
  CHANGED_MEANWHILE
}
