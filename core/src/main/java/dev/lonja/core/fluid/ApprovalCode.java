package dev.lonja.core.fluid;

import dev.lonja.core.part.PartKey;
import java.text.Normalizer;
import java.util.Locale;
import java.util.Optional;

/**
 * A machine maker's approval code, as printed. Codes are compared after Unicode NFKC, in upper case
 * and without white space; punctuation counts, so that "CV 41.2" is "cv41.2" and not "CV 4.12".
 */
public record ApprovalCode(String text) implements Comparable<ApprovalCode> {

  public ApprovalCode {
    if (text.isBlank()) {
      throw new IllegalArgumentException("text is blank; allowed is a code such as VK-205");
    }
  }

  /** By which codes are compared: NFKC, upper case, no white space; marks count. */
  public String key() {
    return Normalizer.normalize(text, Normalizer.Form.NFKC)
        .toUpperCase(Locale.ROOT)
        .replaceAll("\\s", "");
  }

  /** True if both have one key. */
  public boolean isSameAs(ApprovalCode other) {
    return key().equals(other.key());
  }

  /**
   * True for another code that is easily taken for this one: with equal part-number keys, one edit
   * or one swap of neighbours away. It is explained and never accepted.
   */
  public boolean isNearMissOf(ApprovalCode other) {
    if (isSameAs(other)) {
      return false;
    }
    Optional<PartKey> mine = PartKey.of(text);
    Optional<PartKey> theirs = PartKey.of(other.text);
    return mine.isPresent()
        && theirs.isPresent()
        && (mine.equals(theirs) || mine.get().isOneEditFrom(theirs.get()));
  }

  @Override
  public int compareTo(ApprovalCode other) {
    return key().compareTo(other.key());
  }
}
