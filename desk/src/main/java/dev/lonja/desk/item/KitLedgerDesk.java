package dev.lonja.desk.item;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.KitBooking;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.ledger.Postings;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.LotRepository;
import dev.lonja.store.ledger.Posting;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;

/** Makes kits of loose parts and takes them apart, in the ledger. */
@Service
@Allowed.ToKeepStore
public class KitLedgerDesk {

  private final StoreClock clock;
  private final OnceOnly once;

  public KitLedgerDesk(StoreClock clock, OnceOnly once) {
    this.clock = clock;
    this.once = once;
  }

  /** Why no kit is made or broken, beside what the ledger refuses. */
  public sealed interface Refused extends Refusal {}

  /** Something in it is not stocked loose. */
  public record NotStockedLoose(Part part) implements Refused {}

  /** Nothing is noted of what is in it. */
  public record Empty() implements Refused {}

  /** Takes kits apart; what is in them goes to its home bins. */
  @Allowed.ToKeepStore
  public Outcome breakUp(Sent sent, ItemId itemId, BigDecimal kits) {
    return once.run(sent, session -> book(session, sent, itemId, kits, true));
  }

  /** Makes kits of loose parts. */
  @Allowed.ToKeepStore
  public Outcome make(Sent sent, ItemId itemId, BigDecimal kits) {
    return once.run(sent, session -> book(session, sent, itemId, kits, false));
  }

  private Outcome book(
      Session session, Sent sent, ItemId itemId, BigDecimal amount, boolean broken) {
    Item kit = KitDesk.kit(session, itemId).orElseThrow();
    Quantity kits = Quantity.of(kit.measure(), amount);
    List<BoxContent> contents = session.boxes().of(kit.partId());
    Map<PartId, Item> items = KitDesk.contentItems(session, contents);
    List<Refused> refusals = new ArrayList<>();
    contents.stream()
        .map(BoxContent::part)
        .filter(part -> !items.containsKey(part.id()))
        .forEach(part -> refusals.add(new NotStockedLoose(part)));
    if (contents.isEmpty()) {
      refusals.add(new Empty());
    }
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    LocalDate today = clock.today();
    Place at = kit.homeBin().place();
    ItemStock stock = session.placeStock().of(StockKey.ofNew(itemId), at);
    KitBooking.Result result =
        broken
            ? KitBooking.broken(
                stock,
                session.placeStock().held(stock, at),
                kits,
                out(session, kit, contents, items),
                today)
            : KitBooking.made(
                stock,
                place(session, kit, "made " + today),
                kits,
                in(session, contents, items, at),
                today);
    return write(session, sent, kit, result);
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
      Session session, List<BoxContent> contents, Map<PartId, Item> items, Place at) {
    return contents.stream()
        .map(
            content -> {
              StockKey key = StockKey.ofNew(items.get(content.part().id()).id());
              ItemStock stock = session.placeStock().of(key, at);
              return new KitBooking.In(
                  stock, content.quantity(), session.placeStock().held(stock, at));
            })
        .toList();
  }

  /** A lot for what a kit brings or becomes, in the item's home bin. */
  private LotInBin place(Session session, Item item, String lot) {
    LocalDate today = clock.today();
    LotId lotId =
        session
            .lots()
            .lotByCode(item.id(), lot)
            .map(LotRepository.NamedLot::id)
            .orElseGet(
                () ->
                    session
                        .lots()
                        .addLot(
                            item.id(),
                            lot,
                            today,
                            item.keeping().shelfLifeDays().map(today::plusDays)));
    return new LotInBin(item.id(), lotId, item.homeBin().id());
  }

  private Outcome write(Session session, Sent sent, Item kit, KitBooking.Result result) {
    List<Refusal> refusals = new ArrayList<>();
    Posting posting = new Posting("", kit.number(), sent.key(), sent.actor(), clock.now());
    int line = 1;
    for (Map.Entry<ItemId, Booking> entry : result.byItem().entrySet()) {
      Booking booking = entry.getValue();
      if (result.isRefused() && booking instanceof Booking.Booked) {
        continue;
      }
      if (Postings.write(session, entry.getKey(), booking, posting, line)
          instanceof Outcome.Refused refused) {
        refusals.addAll(refused.reasons());
      } else {
        line += ((Booking.Booked) booking).lines().size();
      }
    }
    return refusals.isEmpty() ? Outcome.done() : new Outcome.Refused(refusals);
  }
}
