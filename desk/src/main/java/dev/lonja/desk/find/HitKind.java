package dev.lonja.desk.find;

import dev.lonja.core.find.NumberSearch;

/** How a hit came about, the surest first. */
public enum HitKind {
  EXACT,
  SUCCESSOR,
  PREFIX,
  NEAR,
  ONE_EDIT,
  MAKE,
  FAMILY,
  WORDS,
  BIN;

  static HitKind of(NumberSearch.Kind kind) {
    return switch (kind) {
      case EXACT -> EXACT;
      case SUCCESSOR -> SUCCESSOR;
      case PREFIX -> PREFIX;
      case NEAR -> NEAR;
      case ONE_EDIT -> ONE_EDIT;
    };
  }
}
