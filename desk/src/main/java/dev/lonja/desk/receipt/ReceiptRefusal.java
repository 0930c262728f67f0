package dev.lonja.desk.receipt;

import dev.lonja.desk.request.Refusal;
import java.time.LocalDate;

/** Why a receipt is not kept, or not withdrawn. */
public sealed interface ReceiptRefusal extends Refusal {

  /** No such unit is in service. */
  record UnknownUnit(String code) implements ReceiptRefusal {}

  /** It is neither a photo nor a document of pages alone, or has too many. */
  record NoReceipt() implements ReceiptRefusal {}

  /** It has more bytes than are taken. */
  record TooLarge(int bytes, int most) implements ReceiptRefusal {}

  /** The work lies before the machine's service or after today. */
  record OutsideService(LocalDate day, LocalDate first, LocalDate last) implements ReceiptRefusal {}

  /** It is not there, or was withdrawn before. */
  record NotThere() implements ReceiptRefusal {}
}
