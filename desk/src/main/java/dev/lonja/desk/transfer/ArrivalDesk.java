package dev.lonja.desk.transfer;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.transfer.TransferId;
import dev.lonja.core.transfer.TransferLine;
import dev.lonja.core.transfer.TransferState;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.ledger.Postings;
import dev.lonja.desk.ledger.Receiving;
import dev.lonja.desk.ledger.SignedPostings;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.person.WorkPlaces;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.place.TransferRepository.Stored;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What comes of a transfer, and what does not. */
@Service
@Allowed.ToKeepStore
public class ArrivalDesk extends KeepersDesk {

  private final OnceOnly once;
  private final StoreClock clock;
  private final SignedPostings signed;

  ArrivalDesk(OnceOnly once, StoreClock clock, SignedPostings signed) {
    this.once = once;
    this.clock = clock;
    this.signed = signed;
  }

  /** So much of a thing came, and goes into a bin. */
  public record Came(ItemId item, BigDecimal amount, String bin) {}

  /**
   * Takes in what came: it is moved from the bins where it was into those where it is put, oldest
   * lots first. More may have come than was written as picked, if the book has it.
   */
  @Allowed.ToKeepStore
  public Outcome receive(Sent sent, TransferId id, List<Came> came) {
    return once.run(
        sent,
        session -> {
          Optional<Stored> transfer = session.transfers().byId(id);
          if (transfer.isEmpty() || transfer.get().state() != TransferState.SENT) {
            return Outcome.refused(elsewhere(id, transfer));
          }
          if (came.isEmpty()) {
            return Outcome.refused(new TransferRefusal.Nothing());
          }
          Optional<Refusal> elsewhere = WorkPlaces.refusal(session, sent, transfer.get().to());
          return elsewhere
              .<Outcome>map(Outcome::refused)
              .orElseGet(() -> new Arrival(session, sent, transfer.get()).of(came));
        });
  }

  private static Refusal elsewhere(TransferId id, Optional<Stored> transfer) {
    return transfer
        .<Refusal>map(known -> new TransferRefusal.StandsElsewhere(id, known.state()))
        .orElse(new TransferRefusal.Unknown(id));
  }

  /** One arrival within its transaction. */
  private final class Arrival {

    private final Session session;
    private final Sent sent;
    private final Stored transfer;
    private final Posting posting;
    private int lineNo = 1;

    Arrival(Session session, Sent sent, Stored transfer) {
      this.session = session;
      this.sent = sent;
      this.transfer = transfer;
      this.posting = new Posting("", transfer.number(), sent.key(), sent.actor(), clock.now());
    }

    Outcome of(List<Came> came) {
      List<Refusal> refusals = new ArrayList<>();
      for (Came one : came) {
        refusals.addAll(take(one));
      }
      if (!refusals.isEmpty()) {
        return new Outcome.Refused(refusals);
      }
      endIfNothingIsOpen(session, sent, transfer.id());
      return Outcome.done();
    }

    private List<? extends Refusal> take(Came one) {
      Optional<TransferLine> line = transfer.line(one.item());
      if (line.isEmpty()) {
        return List.of(new TransferRefusal.NoItem(one.item().toString(), 0));
      }
      Item item = session.items().byId(one.item()).orElseThrow();
      Optional<Item.Bin> bin = session.items().binByAddress(one.bin());
      Optional<? extends Refusal> notThere =
          Receiving.notInto(session, item, one.bin(), bin)
              .<Refusal>map(refusal -> refusal)
              .or(
                  () ->
                      bin.filter(known -> !known.place().equals(transfer.to()))
                          .map(
                              known ->
                                  new TransferRefusal.NotABinThere(item.id(), known.address())));
      if (notThere.isPresent()) {
        return List.of(notThere.get());
      }
      Quantity amount = Quantity.of(item.measure(), one.amount());
      Booking booking =
          Ledger.bring(
              TransferStock.stock(session, item.id(), transfer.from()),
              amount,
              TransferStock.held(session, transfer, item),
              bin.orElseThrow().id(),
              clock.today());
      Outcome written = Postings.write(session, item.id(), booking, posting, lineNo);
      if (written instanceof Outcome.Refused refused) {
        return refused.reasons();
      }
      lineNo += ((Booking.Booked) booking).lines().size();
      session.transfers().keep(transfer.id(), line.get().receiving(amount));
      return List.of();
    }
  }

  /** What became of what did not come. */
  public enum Fate {
    /** It never left. */
    STAYED,
    /** It is not looked for any more: the book gives it up. */
    LOST
  }

  /**
   * Settles what is still on its way of a line.
   *
   * @param signature of a second person, if what is lost is worth more than one may give up
   */
  @Allowed.ToKeepStore
  public Outcome settle(
      Sent sent, TransferId id, ItemId itemId, Fate fate, SecondPerson.Signature signature) {
    return once.run(
        sent,
        session -> {
          Optional<Stored> transfer = session.transfers().byId(id);
          if (transfer.isEmpty() || transfer.get().state() != TransferState.SENT) {
            return Outcome.refused(elsewhere(id, transfer));
          }
          return WorkPlaces.refusal(session, sent, transfer.get().from())
              .<Outcome>map(Outcome::refused)
              .orElseGet(() -> settle(session, sent, transfer.get(), itemId, fate, signature));
        });
  }

  private Outcome settle(
      Session session,
      Sent sent,
      Stored transfer,
      ItemId itemId,
      Fate fate,
      SecondPerson.Signature signature) {
    Optional<TransferLine> line =
        transfer.line(itemId).filter(known -> known.underway().isPositive());
    if (line.isEmpty()) {
      return Outcome.refused(new TransferRefusal.NothingOnTheWay());
    }
    if (fate == Fate.LOST) {
      Outcome written =
          signed.write(
              session,
              itemId,
              Ledger.lose(
                  TransferStock.stock(session, itemId, transfer.from()),
                  line.get().underway(),
                  clock.today()),
              sent,
              new Posting(
                  "lost on the way", transfer.number(), sent.key(), sent.actor(), clock.now()),
              signature);
      if (written instanceof Outcome.Refused) {
        return written;
      }
    }
    session
        .audit()
        .add(
            sent.line(
                clock.now(),
                Matter.TRANSFER,
                transfer.number(),
                Deed.EDITED,
                Facts.NONE,
                Facts.of("item_id", itemId)
                    .with("quantity", line.get().underway().exactText())
                    .with("fate", fate.name().toLowerCase(Locale.ROOT))));
    session
        .transfers()
        .keep(
            transfer.id(),
            fate == Fate.LOST ? line.get().losingTheRest() : line.get().keepingTheRest());
    endIfNothingIsOpen(session, sent, transfer.id());
    return Outcome.done();
  }

  private void endIfNothingIsOpen(Session session, Sent sent, TransferId id) {
    boolean open =
        session.transfers().byId(id).orElseThrow().lines().stream()
            .anyMatch(line -> line.underway().isPositive());
    if (!open) {
      session.transfers().end(id, TransferState.CLOSED, clock.now());
      session
          .audit()
          .add(
              sent.line(
                  clock.now(), Matter.TRANSFER, "TF-" + id, Deed.RECEIVED, Facts.NONE, Facts.NONE));
    }
  }
}
