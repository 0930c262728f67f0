package dev.lonja.web.book;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.Place;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.ledger.PackedIssue;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.LedgerLine;
import dev.lonja.store.ledger.Posting;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Books stock over the counter: issues, receipts, counts, transfers, scrap and corrections. */
@Service
@Allowed.ToKeepStore
public class StockDesk {

  private static final int LONGEST_REASON = 200;
  private static final int LONGEST_LOT = 40;

  private final OnceOnly once;
  private final StoreClock clock;

  /** An issue as typed. */
  public record IssueForm(String quantity, String reason) {}

  /** A receipt as typed; {@code expires} may be empty, {@code cost} is for the whole delivery. */
  public record ReceiptForm(
      String quantity, String lot, String bin, String expires, String cost, String reason) {}

  /**
   * A booking on one lot in one bin as typed.
   *
   * @param what count, scrap or transfer
   * @param toBin the address to transfer to
   */
  public record LotForm(
      String what, LotId lotId, BinId binId, String quantity, String toBin, String reason) {}

  public StockDesk(OnceOnly once, StoreClock clock) {
    this.once = once;
    this.clock = clock;
  }

  /** Issues from usable lots, first expired first out. */
  @Allowed.ToKeepStore
  public Outcome issue(Sent sent, ItemId itemId, IssueForm form) {
    return once.run(
        sent,
        session -> {
          Typed typed = new Typed();
          ItemStock stock = session.ledger().stockOf(itemId);
          Optional<Quantity> quantity = quantity(typed, stock, form.quantity());
          Optional<String> reason = reason(typed, form.reason());
          if (!typed.problems().isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          Quantity held =
              session.ledger().held().getOrDefault(itemId, Quantity.zero(stock.measure()));
          Booking booking =
              PackedIssue.of(session, itemId, quantity.orElseThrow(), held, clock.today());
          return write(session, itemId, booking, sent, reason.orElseThrow());
        });
  }

  /** Receives into a new lot, or adds to one of the same code. */
  @Allowed.ToKeepStore
  public Outcome receive(Sent sent, ItemId itemId, ReceiptForm form) {
    return once.run(sent, session -> receive(session, sent, itemId, form));
  }

  private Outcome receive(Session session, Sent sent, ItemId itemId, ReceiptForm form) {
    Typed typed = new Typed();
    ItemStock stock = session.ledger().stockOf(itemId);
    Optional<Quantity> quantity = quantity(typed, stock, form.quantity());
    Optional<String> lot = typed.text("lot", "The lot", form.lot(), LONGEST_LOT);
    Optional<Item.Bin> bin = bin(session, typed, "bin", form.bin());
    Optional<LocalDate> expires =
        form.expires().isBlank()
            ? byShelfLife(session, itemId)
            : typed.day("expires", form.expires());
    Optional<BigDecimal> cost = typed.decimal("cost", "The cost", form.cost());
    if (cost.filter(amount -> amount.signum() < 0).isPresent()) {
      typed.refuse("cost", "The cost is " + form.cost().strip() + "; allowed is 0 or more.");
    }
    Optional<String> reason = reason(typed, form.reason());
    bin.flatMap(b -> BulkStands.refusal(session, itemId, b))
        .ifPresent(text -> typed.refuse("bin", text));
    if (!typed.problems().isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    LotId lotId =
        session
            .ledger()
            .lotByCode(itemId, lot.orElseThrow())
            .orElseGet(() -> session.ledger().addLot(itemId, lot.get(), clock.today(), expires));
    Booking booking =
        Ledger.receive(
            stock,
            new Place(itemId, lotId, bin.orElseThrow().id()),
            quantity.orElseThrow(),
            Money.of(cost.orElseThrow(), stock.value().currency()));
    return write(session, itemId, booking, sent, reason.orElseThrow());
  }

  /** How long what comes in today keeps, where the item says so and the label does not. */
  private Optional<LocalDate> byShelfLife(Session session, ItemId itemId) {
    return session
        .items()
        .byId(itemId)
        .flatMap(item -> item.keeping().shelfLifeDays())
        .map(days -> clock.today().plusDays(days));
  }

  /** Counts, scraps or transfers one lot in one bin, or adjusts it by more or less. */
  @Allowed.ToKeepStore
  public Outcome onLot(Sent sent, ItemId itemId, LotForm form) {
    return once.run(sent, session -> onLot(session, sent, itemId, form));
  }

  private Outcome onLot(Session session, Sent sent, ItemId itemId, LotForm form) {
    Typed typed = new Typed();
    ItemStock stock = session.ledger().stockOf(itemId);
    Optional<Quantity> quantity = quantity(typed, stock, form.quantity());
    Optional<String> reason = reason(typed, form.reason());
    Optional<Item.Bin> toBin =
        form.what().equals("transfer")
            ? bin(session, typed, "toBin", form.toBin())
            : Optional.empty();
    toBin
        .flatMap(b -> BulkStands.refusal(session, itemId, b))
        .ifPresent(text -> typed.refuse("toBin", text));
    if (!List.of("count", "adjust", "scrap", "transfer").contains(form.what())) {
      typed.refuse(
          "what",
          "\"" + form.what() + "\" is no booking; allowed are count, adjust, scrap, transfer.");
    }
    Optional<Place> there = session.ledger().place(itemId, form.lotId(), form.binId());
    if (there.isEmpty()) {
      typed.refuse(
          "lotId",
          "Lot "
              + form.lotId()
              + " in bin "
              + form.binId()
              + " is no place of this item; choose one of its lots.");
    }
    if (!typed.problems().isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    Place place = there.orElseThrow();
    Booking booking =
        switch (form.what()) {
          case "count" -> Ledger.count(stock, place, quantity.orElseThrow());
          case "adjust" -> Ledger.adjust(stock, place, quantity.orElseThrow());
          case "scrap" -> Ledger.scrap(stock, place, quantity.orElseThrow());
          default ->
              Ledger.transfer(stock, place, toBin.orElseThrow().id(), quantity.orElseThrow());
        };
    return write(session, itemId, booking, sent, reason.orElseThrow());
  }

  /** Undoes a movement by another that refers to it. */
  @Allowed.ToKeepStore
  public Outcome correct(Sent sent, ItemId itemId, long movementId, String why) {
    return once.run(
        sent,
        session -> {
          Optional<LedgerLine> line =
              session.ledger().line(movementId).filter(l -> l.itemId().equals(itemId));
          if (line.isEmpty()) {
            return Outcome.refused(
                Problem.ofWhole("There is no movement " + movementId + " of this item."));
          }
          Typed typed = new Typed();
          Optional<String> reason = reason(typed, why);
          if (reason.isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          Booking booking =
              Ledger.correct(
                  session.ledger().stockOf(itemId), session.ledger().movement(movementId));
          return write(session, itemId, booking, sent, reason.get());
        });
  }

  private Outcome write(Session session, ItemId itemId, Booking booking, Sent sent, String reason) {
    Posting posting = new Posting(reason, "", sent.key(), sent.actor(), clock.now());
    return LedgerWording.write(
        session, itemId, booking, posting, 1, "/items/" + itemId, "quantity");
  }

  private static Optional<Quantity> quantity(Typed typed, ItemStock stock, String text) {
    return typed
        .decimal("quantity", "The quantity", text)
        .map(amount -> Quantity.of(stock.measure(), amount));
  }

  private static Optional<String> reason(Typed typed, String text) {
    return typed.text("reason", "The reason", text, LONGEST_REASON);
  }

  private static Optional<Item.Bin> bin(
      Session session, Typed typed, String field, String address) {
    Optional<Item.Bin> bin = session.items().binByAddress(address.strip());
    if (bin.isEmpty()) {
      typed.refuse(field, "There is no bin \"" + address.strip() + "\". Write one such as A-03.");
    }
    return bin;
  }
}
