package dev.lonja.desk.receipt;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.service.ReceiptId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.service.ReceiptRepository;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Keeps receipts of machines: photos, which are drawn anew, and documents of pages alone. */
@Service
@Allowed.ToSeeStore
public class ReceiptDesk extends KeepersDesk {

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
    PaperFile.Read read = PaperFile.of(brought.file());
    if (read.refusal().isPresent()) {
      return Outcome.refused(read.refusal().get());
    }
    session
        .receipts()
        .add(
            unit.id(),
            brought.doneOn(),
            brought.note(),
            read.content().orElseThrow(),
            sent.actor(),
            clock.now());
    return Outcome.done();
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
