package dev.lonja.web.buy;

import dev.lonja.core.order.Invoice;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.desk.order.InvoiceDesk;
import dev.lonja.store.order.InvoiceRepository;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** Says what was charged and what that changed. */
final class InvoiceWording {

  /** In front of a delivery's number, in the names of fields. */
  static final String FIELD = "charged-";

  private final InvoiceDesk.Sheet sheet;
  private final LocalDate today;

  InvoiceWording(InvoiceDesk.Sheet sheet, LocalDate today) {
    this.sheet = sheet;
    this.today = today;
  }

  InvoiceView page() {
    return new InvoiceView(
        sheet.order().id(),
        sheet.order().supplier().name(),
        sheet.currency().getCurrencyCode(),
        today.toString(),
        sheet.delivered().stream().filter(one -> !one.isInvoiced()).map(this::delivered).toList(),
        !sheet.delivered().isEmpty(),
        sheet.invoices().stream().map(this::entered).toList());
  }

  private OrderLine line(InvoiceRepository.Delivered delivered) {
    return sheet.order().line(delivered.line()).orElseThrow();
  }

  private InvoiceView.Delivered delivered(InvoiceRepository.Delivered one) {
    return new InvoiceView.Delivered(
        FIELD + one.movementId(),
        Plate.of(line(one).item()),
        one.quantity().display(),
        "came "
            + Words.day(one.receivedOn(), today)
            + (one.deliveryNote().isEmpty() ? "" : ", " + one.deliveryNote()),
        one.booked().exactText(),
        "booked at " + UnitPrice.average(one.booked(), one.quantity()).display());
  }

  private InvoiceView.Entered entered(Invoice invoice) {
    List<String> what = new ArrayList<>();
    if (invoice.facts().freight().minor() > 0) {
      what.add("freight " + invoice.facts().freight().display());
    }
    invoice.facts().lines().forEach(line -> what.add(changed(line)));
    return new InvoiceView.Entered(
        invoice.id(),
        invoice.facts().number(),
        Words.day(invoice.facts().datedOn(), today),
        invoice.facts().total().display(),
        what,
        invoice.withdrawnWhy().orElse(""));
  }

  private String changed(Invoice.Line changed) {
    String number =
        sheet.delivered().stream()
            .filter(one -> one.movementId() == changed.movementId())
            .findFirst()
            .map(one -> line(one).item().number())
            .orElse("what was booked back");
    return number
        + ": "
        + changed.charged().map(Money::display).orElse("freight only")
        + difference(changed.difference());
  }

  private static String difference(Money difference) {
    if (difference.minor() == 0) {
      return ", as booked";
    }
    return ", "
        + difference.abs().display()
        + (difference.minor() > 0 ? " more" : " less")
        + " than booked";
  }
}
