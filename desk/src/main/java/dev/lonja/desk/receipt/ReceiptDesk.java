package dev.lonja.desk.receipt;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.service.ReceiptId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.item.PictureDesk;
import dev.lonja.desk.item.PictureMaker;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.service.ReceiptPaper;
import dev.lonja.store.service.ReceiptRepository;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Keeps receipts of machines: photos, which are drawn anew, and documents of pages alone. */
@Service
@Allowed.ToSeeStore
public class ReceiptDesk extends KeepersDesk {

  /** The largest file that is taken; of a photo far less is kept. */
  public static final int MOST_BYTES = PictureDesk.MOST_BYTES;

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public ReceiptDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** A receipt as somebody brings it. */
  public record Brought(LocalDate doneOn, String note, byte[] file) {}

  /** The receipts of a unit, withdrawn ones too, those of the latest work first. */
  public List<ReceiptRepository.Receipt> of(String code) {
    return store.read(
        session ->
            unit(session, code).map(unit -> session.receipts().of(unit.id())).orElse(List.of()));
  }

  /** What a receipt of a unit holds; empty if there is none such any more. */
  public Optional<ReceiptRepository.Content> content(String code, ReceiptId id) {
    return store.read(
        session -> unit(session, code).flatMap(unit -> session.receipts().content(unit.id(), id)));
  }

  /** Keeps a receipt of a unit. */
  @Allowed.ToKeepStore
  public Outcome keep(Sent sent, String code, Brought brought) {
    return once.run(
        sent,
        session -> {
          Optional<Unit> unit = unit(session, code);
          if (unit.isEmpty()) {
            return Outcome.refused(new ReceiptRefusal.UnknownUnit(code));
          }
          LocalDate first = unit.get().inServiceOn();
          if (brought.doneOn().isBefore(first) || brought.doneOn().isAfter(clock.today())) {
            return Outcome.refused(
                new ReceiptRefusal.OutsideService(brought.doneOn(), first, clock.today()));
          }
          return keep(session, sent, unit.get(), brought);
        });
  }

  private Outcome keep(Session session, Sent sent, Unit unit, Brought brought) {
    int bytes = brought.file().length;
    if (bytes > MOST_BYTES) {
      return Outcome.refused(new ReceiptRefusal.TooLarge(bytes, MOST_BYTES));
    }
    Optional<ReceiptRepository.Content> content = content(brought.file());
    if (content.isEmpty()) {
      return Outcome.refused(
          looksLikeDocument(brought.file()) && bytes > Limits.RECEIPT_BYTES
              ? new ReceiptRefusal.TooLarge(bytes, Limits.RECEIPT_BYTES)
              : new ReceiptRefusal.NoReceipt());
    }
    session
        .receipts()
        .add(unit.id(), brought.doneOn(), brought.note(), content.get(), sent.actor(), clock.now());
    return Outcome.done();
  }

  private static boolean looksLikeDocument(byte[] file) {
    return file.length > 4 && file[0] == '%' && file[1] == 'P' && file[2] == 'D' && file[3] == 'F';
  }

  private static Optional<ReceiptRepository.Content> content(byte[] file) {
    if (ReceiptPaper.is(file)) {
      return Optional.of(new ReceiptRepository.Content("application/pdf", file));
    }
    return PictureMaker.anew(file)
        .map(photo -> new ReceiptRepository.Content(photo.mediaType(), photo.content()));
  }

  /** Withdraws a receipt that was kept in error: what it holds goes, that it was there stays. */
  @Allowed.ToKeepStore
  public Outcome withdraw(Sent sent, String code, ReceiptId id, String why) {
    return once.run(
        sent,
        session ->
            unit(session, code)
                    .filter(unit -> session.receipts().withdraw(unit.id(), id, why))
                    .isPresent()
                ? Outcome.done()
                : Outcome.refused(new ReceiptRefusal.NotThere()));
  }

  private Optional<Unit> unit(Session session, String code) {
    return session.fleet().serving(code, clock.today());
  }
}
