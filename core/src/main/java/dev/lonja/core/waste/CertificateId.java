package dev.lonja.core.waste;

import dev.lonja.core.quantity.RowNumber;

/** The number of a waste certificate, 1 or more; what is not stored yet has none. */
public record CertificateId(long value) {

  public CertificateId {
    RowNumber.check("waste certificate", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static CertificateId valueOf(String digits) {
    return new CertificateId(Long.parseLong(digits));
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}
