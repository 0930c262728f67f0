package dev.lonja.desk.transfer;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.transfer.TransferId;
import dev.lonja.core.transfer.TransferLine;
import dev.lonja.core.transfer.TransferState;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.find.ScannedItems;
import dev.lonja.desk.forecast.Drawn;
import dev.lonja.desk.forecast.Trials;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.person.WorkPlaces;
import dev.lonja.desk.place.PutAways;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.ledger.LotFacts;
import dev.lonja.store.place.TransferRepository;
import dev.lonja.store.place.TransferRepository.Stored;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** What one place asks of another, until it is picked and on its way. */
@Service
@Allowed.ToSeeStore
public class TransferDesk extends KeepersDesk {

  private static final int LATEST = 12;

  private final LonjaStore store;
  private final OnceOnly once;
  private final StoreClock clock;
  private final Trials trials;

  TransferDesk(LonjaStore store, OnceOnly once, StoreClock clock, Trials trials) {
    this.store = store;
    this.once = once;
    this.clock = clock;
    this.trials = trials;
  }

  /**
   * All transfers.
   *
   * @param names of all places, the main store first
   * @param drawn the trials on which the refills rest; without any there are none
   * @param refills what the satellites are to be filled up with
   * @param ended the latest first
   */
  public record Overview(
      SortedMap<Place, String> names,
      Drawn drawn,
      List<Refills.Proposal> refills,
      List<Stored> open,
      List<Stored> ended) {}

  /** What the satellites are to be filled up with, by the trials that there are. */
  public List<Refills.Proposal> refills() {
    LocalDate today = clock.today();
    return trials
        .known()
        .of(today)
        .map(bands -> store.read(session -> Refills.of(session, today, bands)))
        .orElse(List.of());
  }

  /** What all places are called, the main store first. */
  public SortedMap<Place, String> names() {
    return store.read(session -> session.places().names());
  }

  public Overview overview() {
    Drawn drawn = trials.drawn();
    LocalDate today = clock.today();
    return store.read(
        session ->
            new Overview(
                session.places().names(),
                drawn,
                drawn.of(today).map(bands -> Refills.of(session, today, bands)).orElse(List.of()),
                session.transfers().open(),
                session.transfers().ended(LATEST)));
  }

  /** Those that are asked for or on the way. */
  @KeptAnswer
  public List<Stored> open() {
    return store.read(session -> session.transfers().open());
  }

  /**
   * One transfer.
   *
   * @param names of all places
   */
  public record File(Stored transfer, SortedMap<Place, String> names, List<Line> lines) {}

  /**
   * A line of a transfer.
   *
   * @param lies where the place that gives has it, in picking order
   * @param free there, with what is picked for this transfer already
   * @param into where it is put once it comes
   */
  public record Line(
      TransferLine line, Item item, List<LotFacts> lies, Quantity free, List<PutAways.Into> into) {}

  /** Empty if there is no such transfer. */
  public Optional<File> file(TransferId id) {
    return store.read(session -> session.transfers().byId(id).map(one -> file(session, one)));
  }

  private File file(Session session, Stored transfer) {
    Map<ItemId, Item> items =
        session.items().byIds(transfer.lines().stream().map(TransferLine::itemId).toList());
    PutAways putAways = new PutAways(session);
    Map<StockKey, Quantity> held = TransferStock.held(session, transfer);
    return new File(
        transfer,
        session.places().names(),
        transfer.lines().stream()
            .map(line -> line(session, transfer, line, items.get(line.itemId()), held, putAways))
            .toList());
  }

  private Line line(
      Session session,
      Stored transfer,
      TransferLine line,
      Item item,
      Map<StockKey, Quantity> held,
      PutAways putAways) {
    ItemStock stock = TransferStock.stock(session, item.id(), transfer.from());
    Quantity none = Quantity.zero(item.measure());
    boolean comes = transfer.state() == TransferState.SENT && line.underway().isPositive();
    return new Line(
        line,
        item,
        TransferStock.lots(session, stock, clock.today()),
        stock.usable(clock.today()).minus(held.getOrDefault(stock.key(), none)).atLeastZero(),
        comes ? putAways.of(item, line.underway(), transfer.to()) : List.of());
  }

  /** So much of an item, in its measure. */
  public record Amount(ItemId item, BigDecimal amount) {}

  /** Asks one place for things on behalf of another; what was asked for already becomes more. */
  @Allowed.ToKeepStore
  public Outcome ask(Sent sent, Place from, Place to, List<Amount> wanted) {
    return once.run(
        sent,
        session -> {
          Set<Place> places = session.places().names().keySet();
          if (from.equals(to) || !places.contains(from) || !places.contains(to)) {
            return Outcome.refused(new TransferRefusal.NoSuchWay());
          }
          if (wanted.isEmpty()) {
            return Outcome.refused(new TransferRefusal.Nothing());
          }
          Map<ItemId, Item> items =
              session.items().byIds(wanted.stream().map(Amount::item).toList());
          List<Refusal> refusals = new ArrayList<>();
          // who works at either of the two may
          WorkPlaces.refusal(session, sent, to)
              .filter(elsewhere -> WorkPlaces.refusal(session, sent, from).isPresent())
              .ifPresent(refusals::add);
          wanted.forEach(one -> refusalOf(session, items, one).ifPresent(refusals::add));
          if (!refusals.isEmpty()) {
            return new Outcome.Refused(refusals);
          }
          TransferId id =
              session
                  .transfers()
                  .asked(from, to)
                  .map(Stored::id)
                  .orElseGet(() -> begin(session, sent, from, to));
          wanted.forEach(one -> more(session, id, items.get(one.item()), one));
          return Outcome.done(id);
        });
  }

  private TransferId begin(Session session, Sent sent, Place from, Place to) {
    TransferId id = session.transfers().add(from, to, sent.actor(), clock.now());
    audit(
        session,
        sent,
        id,
        Deed.ADDED,
        Facts.of("from_satellite_id", from).with("to_satellite_id", to));
    return id;
  }

  private void more(Session session, TransferId id, Item item, Amount one) {
    Quantity amount = Quantity.of(item.measure(), one.amount());
    TransferLine line =
        session
            .transfers()
            .byId(id)
            .orElseThrow()
            .line(item.id())
            .map(known -> known.wanting(known.wanted().plus(amount)))
            .orElse(TransferLine.asked(item.id(), amount));
    session.transfers().keep(id, line);
  }

  private static Optional<Refusal> refusalOf(Session session, Map<ItemId, Item> items, Amount one) {
    Optional<Item> item = Optional.ofNullable(items.get(one.item()));
    if (item.isEmpty()) {
      return Optional.of(new TransferRefusal.NoItem(one.item().toString(), 0));
    }
    Quantity amount = Quantity.of(item.get().measure(), one.amount());
    if (!amount.isPositive() || !amount.isCountable()) {
      return Optional.of(new TransferRefusal.NotSoMuch(item.get(), amount));
    }
    return TransferStock.liesInTank(session, item.get().id())
        ? Optional.of(new TransferRefusal.InTank(item.get()))
        : Optional.empty();
  }

  /** Says how much of each line is taken from the shelf; lines not named stay as they are. */
  @Allowed.ToKeepStore
  public Outcome pick(Sent sent, TransferId id, List<Amount> picked) {
    return asked(sent, id, (session, transfer) -> pick(session, transfer, picked));
  }

  private Outcome pick(Session session, Stored transfer, List<Amount> picked) {
    List<Refusal> refusals = new ArrayList<>();
    List<TransferLine> changed = new ArrayList<>();
    for (Amount one : picked) {
      Optional<TransferLine> line = transfer.line(one.item());
      if (line.isEmpty()) {
        refusals.add(new TransferRefusal.NoItem(one.item().toString(), 0));
        continue;
      }
      Item item = session.items().byId(one.item()).orElseThrow();
      Quantity amount = Quantity.of(item.measure(), one.amount());
      Quantity free = TransferStock.free(session, transfer, item, clock.today());
      if (amount.isNegative() || !amount.isCountable()) {
        refusals.add(new TransferRefusal.NotSoMuch(item, amount));
      } else if (amount.compareTo(free) > 0) {
        refusals.add(new TransferRefusal.NotFree(item, amount, free));
      }
      changed.add(line.get().picking(amount));
    }
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    changed.forEach(line -> session.transfers().keep(transfer.id(), line));
    return Outcome.done();
  }

  /** Takes from the shelf all that is asked for, as far as it is free. */
  @Allowed.ToKeepStore
  public Outcome pickAll(Sent sent, TransferId id) {
    return asked(
        sent,
        id,
        (session, transfer) -> {
          for (TransferLine line : transfer.lines()) {
            Item item = session.items().byId(line.itemId()).orElseThrow();
            Quantity free = TransferStock.free(session, transfer, item, clock.today());
            session.transfers().keep(id, line.picking(line.wanted().min(free)));
          }
          return Outcome.done();
        });
  }

  /** Takes by scan: one piece more, or of a fluid all that is asked for. */
  @Allowed.ToKeepStore
  public Outcome scan(Sent sent, TransferId id, String code) {
    return asked(
        sent,
        id,
        (session, transfer) -> {
          List<Item> found = ScannedItems.of(session, code);
          List<Item> meant =
              found.stream().filter(item -> transfer.line(item.id()).isPresent()).toList();
          if (meant.size() != 1) {
            return Outcome.refused(
                found.size() == 1
                    ? new TransferRefusal.NotAskedFor(found.get(0))
                    : new TransferRefusal.NoItem(code, found.size()));
          }
          Item item = meant.get(0);
          TransferLine line = transfer.line(item.id()).orElseThrow();
          Quantity taken =
              item.measure() == Measure.PIECES
                  ? line.picked().plus(Quantity.pieces(1))
                  : line.wanted();
          return pick(session, transfer, List.of(new Amount(item.id(), taken.amount())));
        });
  }

  /** It leaves with what is picked of it. */
  @Allowed.ToKeepStore
  public Outcome send(Sent sent, TransferId id) {
    return asked(
        sent,
        id,
        (session, transfer) -> {
          if (transfer.lines().stream().noneMatch(line -> line.picked().isPositive())) {
            return Outcome.refused(new TransferRefusal.NothingPicked());
          }
          session.transfers().send(id, sent.actor(), clock.now());
          audit(session, sent, id, Deed.SENT, Facts.NONE);
          return Outcome.done();
        });
  }

  /** Gives it up before it left; what was picked goes back to its shelf. */
  @Allowed.ToKeepStore
  public Outcome drop(Sent sent, TransferId id) {
    return asked(
        sent,
        id,
        (session, transfer) -> {
          session.transfers().end(id, TransferState.DROPPED, clock.now());
          audit(session, sent, id, Deed.GIVEN_UP, Facts.NONE);
          return Outcome.done();
        });
  }

  private interface Work {
    Outcome on(Session session, Stored transfer);
  }

  /** Something that the place that gives does before it leaves. */
  private Outcome asked(Sent sent, TransferId id, Work work) {
    return once.run(
        sent,
        session -> {
          Optional<Stored> transfer = session.transfers().byId(id);
          if (transfer.isEmpty()) {
            return Outcome.refused(new TransferRefusal.Unknown(id));
          }
          if (transfer.get().state() != TransferState.ASKED) {
            return Outcome.refused(new TransferRefusal.StandsElsewhere(id, transfer.get().state()));
          }
          return WorkPlaces.refusal(session, sent, transfer.get().from())
              .<Outcome>map(Outcome::refused)
              .orElseGet(() -> work.on(session, transfer.get()));
        });
  }

  private void audit(Session session, Sent sent, TransferId id, Deed deed, Facts facts) {
    session
        .audit()
        .add(sent.line(clock.now(), Matter.TRANSFER, "TF-" + id, deed, Facts.NONE, facts));
  }

  /** What a written or scanned number may be. */
  public List<Item> named(String code) {
    return store.read(session -> ScannedItems.of(session, code));
  }

  /** What all items of a transfer are, for who words them. */
  public Map<ItemId, Item> items(Overview overview) {
    return store.read(
        session ->
            session
                .items()
                .byIds(
                    Stream.concat(overview.open().stream(), overview.ended().stream())
                        .map(TransferRepository.Stored::lines)
                        .flatMap(List::stream)
                        .map(TransferLine::itemId)
                        .collect(Collectors.toSet())));
  }
}
