package dev.lonja.web.work;

import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.service.RecordDesk;
import java.time.LocalDate;
import java.util.Base64;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The service record of a unit, in words: its warranty file. */
public record RecordView(
    String code,
    String name,
    String machine,
    String until,
    List<EntryRow> entries,
    List<ReceiptRow> receipts) {

  /**
   * What proves work.
   *
   * @param photo as a page may draw it; empty for a document
   */
  public record ReceiptRow(String day, String note, String photo) {}

  /**
   * One job.
   *
   * @param at what its meters stood at
   * @param works what was done
   * @param parts what stayed on the machine, with the lots it came from
   * @param litres what was poured
   */
  public record EntryRow(
      String day,
      String at,
      String title,
      String by,
      List<String> works,
      List<String> parts,
      List<String> litres,
      List<String> found) {}

  static RecordView of(RecordDesk.ServiceRecord record, LocalDate today) {
    return new RecordView(
        record.unit().code(),
        record.unit().name(),
        record.unit().variant().display() + ", in service since " + record.unit().inServiceOn(),
        today.toString(),
        record.entries().stream().map(RecordView::row).toList(),
        record.receipts().stream().map(RecordView::receipt).toList());
  }

  private static ReceiptRow receipt(RecordDesk.Proof proof) {
    return new ReceiptRow(
        proof.receipt().doneOn().toString(),
        proof.receipt().note(),
        proof.isPhoto()
            ? "data:"
                + proof.content().mediaType()
                + ";base64,"
                + Base64.getEncoder().encodeToString(proof.content().bytes())
            : "");
  }

  private static EntryRow row(RecordDesk.Entry entry) {
    return new EntryRow(
        entry.day().toString(),
        entry.works().stream()
            .flatMap(work -> work.life().stream())
            .map(MeterValue::display)
            .distinct()
            .collect(Collectors.joining(", ")),
        entry.title(),
        entry.by(),
        entry.works().stream()
            .map(work -> work.task() + work.found().map(found -> ": " + found.display()).orElse(""))
            .toList(),
        entry.used().stream()
            .map(
                used ->
                    used.quantity().display()
                        + " "
                        + used.item().make()
                        + " "
                        + used.item().number()
                        + (used.condition() == LotCondition.NEW
                            ? ""
                            : ", " + used.condition().words())
                        + ", lot "
                        + String.join(", ", used.lots()))
            .toList(),
        Stream.concat(
                entry.fills().stream().map(RecordView::filled),
                entry.added().stream().map(RecordView::added))
            .toList(),
        entry.found().stream().map(finding -> finding.words()).toList());
  }

  private static String filled(RecordDesk.Filled filled) {
    return filled.compartment()
        + " "
        + filled.fill().volume().display()
        + " "
        + filled.item().number()
        + ", "
        + filled.fill().condition().words()
        + filled.fill().drained().map(d -> ", " + d.display() + " drained").orElse("")
        + filled.fill().level().map(level -> ", level " + level.words()).orElse("");
  }

  private static String added(RecordDesk.Added added) {
    return added.compartment()
        + " "
        + added.litres().display()
        + " "
        + added.item().number()
        + ", topped up";
  }
}
