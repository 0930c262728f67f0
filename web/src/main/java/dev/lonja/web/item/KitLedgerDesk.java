package dev.lonja.web.item;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.KitBooking;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.Place;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.PartId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.Posting;
import dev.lonja.web.book.LedgerWording;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Makes kits of loose parts and takes them apart, in the ledger. */
@Service
@Allowed.ToKeepStore
public class KitLedgerDesk {

  private static final BigDecimal MOST_KITS = BigDecimal.valueOf(1_000);

  private final StoreClock clock;
  private final OnceOnly once;

  public KitLedgerDesk(StoreClock clock, OnceOnly once) {
    this.clock = clock;
    this.once = once;
  }

  /** Takes kits apart; what is in them goes to its home bins. */
  @Allowed.ToKeepStore
  public Outcome breakUp(Sent sent, ItemId itemId, String kits) {
    return once.run(sent, session -> book(session, sent, itemId, kits, true));
  }

  /** Makes kits of loose parts. */
  @Allowed.ToKeepStore
  public Outcome make(Sent sent, ItemId itemId, String kits) {
    return once.run(sent, session -> book(session, sent, itemId, kits, false));
  }

  private Outcome book(
      Session session, Sent sent, ItemId itemId, String typedKits, boolean broken) {
    Item kit = KitDesk.kit(session, itemId).orElseThrow();
    Typed typed = new Typed();
    Optional<Quantity> kits =
        typed
            .decimalUpTo("kits", "The number of kits", typedKits, MOST_KITS)
            .map(Quantity.of(kit.measure(), BigDecimal.ONE)::times);
    List<BoxContent> contents = session.boxes().of(kit.partId());
    Map<PartId, Item> items = KitDesk.contentItems(session, contents);
    contents.stream()
        .filter(content -> !items.containsKey(content.part().id()))
        .forEach(
            content ->
                typed.refuse(
                    "kits",
                    content.part().number() + " in it is not stocked loose; stock it first."));
    if (contents.isEmpty()) {
      typed.refuse("kits", "Nothing is noted of what is in this kit.");
    }
    if (!typed.problems().isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    Quantity held = held(session, itemId, kit);
    LocalDate today = clock.today();
    ItemStock stock = session.ledger().stockOf(itemId);
    KitBooking.Result result =
        broken
            ? KitBooking.broken(
                stock, held, kits.orElseThrow(), out(session, kit, contents, items), today)
            : KitBooking.made(
                stock,
                place(session, kit, "made " + today),
                kits.orElseThrow(),
                in(session, contents, items),
                today);
    return write(session, sent, kit, result, broken ? "kit broken" : "kit made");
  }

  private static Quantity held(Session session, ItemId itemId, Item item) {
    return session.ledger().held().getOrDefault(itemId, Quantity.zero(item.measure()));
  }

  private List<KitBooking.Out> out(
      Session session, Item kit, List<BoxContent> contents, Map<PartId, Item> items) {
    return contents.stream()
        .map(
            content -> {
              Item item = items.get(content.part().id());
              return new KitBooking.Out(
                  session.ledger().stockOf(item.id()),
                  place(session, item, "from " + kit.number()),
                  content.quantity());
            })
        .toList();
  }

  private static List<KitBooking.In> in(
      Session session, List<BoxContent> contents, Map<PartId, Item> items) {
    return contents.stream()
        .map(
            content -> {
              Item item = items.get(content.part().id());
              return new KitBooking.In(
                  session.ledger().stockOf(item.id()),
                  content.quantity(),
                  held(session, item.id(), item));
            })
        .toList();
  }

  /** A lot for what a kit brings or becomes, in the item's home bin. */
  private Place place(Session session, Item item, String lot) {
    LotId lotId =
        session
            .ledger()
            .lotByCode(item.id(), lot)
            .orElseGet(
                () ->
                    session
                        .ledger()
                        .addLot(
                            item.id(),
                            lot,
                            clock.today(),
                            item.keeping().shelfLifeDays().map(clock.today()::plusDays)));
    return new Place(item.id(), lotId, item.homeBin().id());
  }

  private Outcome write(
      Session session, Sent sent, Item kit, KitBooking.Result result, String reason) {
    List<Problem> problems = new ArrayList<>();
    int line = 1;
    String answer = "/items/" + kit.id() + "/kit";
    for (Map.Entry<ItemId, Booking> entry : result.byItem().entrySet()) {
      boolean isBooked = entry.getValue() instanceof Booking.Booked;
      if (result.isRefused() && isBooked) {
        continue;
      }
      Posting posting =
          new Posting(
              reason + ": " + kit.number(), kit.number(), sent.key(), sent.actor(), clock.now());
      Outcome outcome =
          LedgerWording.write(
              session, entry.getKey(), entry.getValue(), posting, line, answer, "kits");
      if (outcome instanceof Outcome.Refused refused) {
        problems.addAll(refused.problems());
      } else {
        line += ((Booking.Booked) entry.getValue()).lines().size();
      }
    }
    return problems.isEmpty() ? new Outcome.Done(answer) : new Outcome.Refused(problems);
  }
}
