package dev.lonja.web.receipt;

import dev.lonja.core.service.ReceiptId;
import java.util.List;

/** The receipts of a machine. */
public record ReceiptView(String code, String today, List<Row> receipts) {

  /**
   * A receipt.
   *
   * @param photo true for one that the page shows
   * @param withdrawn why it was withdrawn; empty if it stands
   */
  public record Row(
      ReceiptId id, String day, String note, boolean photo, String actor, String withdrawn) {}
}
