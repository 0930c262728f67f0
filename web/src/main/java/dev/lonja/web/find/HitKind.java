package dev.lonja.web.find;

/** How a hit came about, the surest first. */
enum HitKind {
  EXACT("this number"),
  SUCCESSOR("replaces it"),
  PREFIX("begins with it"),
  NEAR("reads like it"),
  ONE_EDIT("one mark off"),
  MAKE("of this make"),
  FAMILY("of this kind"),
  WORDS("these words"),
  BIN("in this bin");

  private final String words;

  HitKind(String words) {
    this.words = words;
  }

  String words() {
    return words;
  }
}
