package dev.lonja.desk.tray;

import dev.lonja.core.crossref.Candidate;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.part.Family;
import dev.lonja.core.take.KitRange;
import dev.lonja.core.text.Lengths;
import dev.lonja.core.tray.PutOnRule;
import dev.lonja.desk.crossref.Alternatives;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.PlaceDemands;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.fluid.FluidObjection;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Judges what is asked for or put on a tray by hand, the same on every way in. */
public final class ByHand {

  private final Session session;
  private final LocalDate today;
  private final String unit;
  private final UnitNeeds needs;

  /**
   * @param unit its code
   * @param needs what it is made of
   */
  public ByHand(Session session, LocalDate today, String unit, UnitNeeds needs) {
    this.session = session;
    this.today = today;
    this.unit = unit;
    this.needs = needs;
  }

  /**
   * What somebody says of it.
   *
   * @param why what it is for; empty if nobody said
   * @param into the compartment that a fluid goes into; empty if nobody said
   */
  public record Said(String why, Optional<CompartmentId> into) {

    public static Said why(String why) {
      return new Said(why, Optional.empty());
    }
  }

  /** What stands against an item on a tray's machine; nothing on a tray for no machine. */
  public static Optional<TrayRefusal> on(
      Session session, LocalDate today, Tray tray, Item item, Said said) {
    return tray.unitCode()
        .flatMap(
            unit ->
                new ByHand(
                        session,
                        today,
                        unit,
                        TrayMachine.of(FleetPicture.load(session, today), tray).needs())
                    .objection(item, said));
  }

  /** What stands where another line names its place: what the item is. */
  public static String place(Item item) {
    String words = item.description();
    return words.length() > Lengths.NAME ? words.substring(0, Lengths.NAME).strip() : words;
  }

  /** What stands against an item on this machine; empty if nothing does. */
  public Optional<TrayRefusal> objection(Item item, Said said) {
    if (item.family() == Family.KIT) {
      return kit(item, said.why());
    }
    if (item.product().isEmpty()) {
      return part(item, said.why()).or(() -> otherMake(item));
    }
    return said.into().isPresent() ? fluidInto(item, said.into().get()) : fluid(item);
  }

  /** By policy one make only goes to every place that takes such parts, and this is another. */
  private Optional<TrayRefusal> otherMake(Item item) {
    Map<Position, Item> places = new HashMap<>();
    for (Position position : needs.positions()) {
      position
          .itemId()
          .flatMap(id -> session.items().byId(id))
          .filter(preferred -> preferred.family() == item.family())
          .ifPresent(preferred -> places.put(position, preferred));
    }
    boolean allowed =
        places.entrySet().stream()
            .anyMatch(
                place ->
                    place.getValue().equals(item)
                        || needs.ways().takesMake(place.getKey(), item.make()));
    return places.isEmpty() || allowed
        ? Optional.empty()
        : Optional.of(new TrayRefusal.OtherMake(item, needs.ways().make()));
  }

  /**
   * What is surplus in a kit comes back, so a piece that fits nowhere asks for a word and refuses
   * nothing; a piece is judged as whichever of its items fits. So does a kit that is made for other
   * machines.
   */
  private Optional<TrayRefusal> kit(Item kit, String why) {
    if (!why.isEmpty()) {
      return Optional.empty();
    }
    List<KitRange> ranges = session.kitRanges().of(kit.partId());
    KitRange.Answer answer =
        needs
            .ways()
            .variant()
            .map(machine -> KitRange.judge(ranges, machine))
            .orElse(KitRange.Answer.IN);
    List<TrayRefusal> pieces =
        session.boxes().ofStockedItems().of(kit.id()).stream()
            .flatMap(content -> piece(content).stream())
            .toList();
    return answer == KitRange.Answer.IN && pieces.isEmpty()
        ? Optional.empty()
        : Optional.of(new TrayRefusal.KitAsks(unit, kit, answer, ranges, pieces));
  }

  private Optional<TrayRefusal> piece(Boxes.Content content) {
    List<Optional<TrayRefusal>> judged =
        session.items().byIds(content.items()).values().stream()
            .map(
                item ->
                    item.product().isPresent()
                        ? fluid(item)
                        : part(item, "").or(() -> otherMake(item)))
            .toList();
    return judged.stream().anyMatch(Optional::isEmpty)
        ? Optional.empty()
        : judged.stream()
            .flatMap(Optional::stream)
            .findFirst()
            .map(
                refusal ->
                    refusal instanceof TrayRefusal.FitsNowhere not
                        ? new TrayRefusal.SayWhatFor(
                            not.unit(), not.item(), not.places(), not.candidate())
                        : refusal);
  }

  /**
   * A fluid that no compartment of its kind takes without a word is put on only for a compartment,
   * at which it is signed for.
   */
  private Optional<TrayRefusal> fluid(Item item) {
    List<Compartment> places = ofItsKind(item);
    FluidBook book = FluidBook.load(session, today);
    ProductId product = item.product().orElseThrow().id();
    Map<Compartment, Level> levels = new LinkedHashMap<>();
    places.forEach(place -> levels.put(place, book.verdict(place.spec(), product).overall()));
    if (places.isEmpty() || levels.values().stream().anyMatch(Level::isFree)) {
      return Optional.empty();
    }
    List<Compartment> open =
        places.stream().filter(place -> levels.get(place) != Level.NO).toList();
    Compartment first = open.isEmpty() ? places.get(0) : open.get(0);
    FluidObjection why = FluidObjection.of(book, first.spec(), item);
    return Optional.of(
        open.isEmpty()
            ? new TrayRefusal.NoCompartmentTakes(unit, why)
            : new TrayRefusal.IntoWhich(unit, why, open));
  }

  private List<Compartment> ofItsKind(Item item) {
    return needs.compartments().stream()
        .filter(place -> item.product().filter(place::isFor).isPresent())
        .toList();
  }

  /** Into a compartment of its kind goes what its spec does not forbid; the line is signed for. */
  private Optional<TrayRefusal> fluidInto(Item item, CompartmentId into) {
    return ofItsKind(item).stream()
        .filter(place -> place.id().equals(into))
        .findFirst()
        .map(
            place ->
                FluidObjection.to(session, today, place.spec(), item.id())
                    .<TrayRefusal>map(why -> new TrayRefusal.MayNotGoInto(place, why)))
        .orElseGet(() -> Optional.of(new TrayRefusal.NoSuchCompartment(unit, item)));
  }

  /** A place that takes parts of the family, and the verdict there if anybody has said anything. */
  private record Judged(Position position, Optional<Candidate> candidate) {}

  private Optional<TrayRefusal> part(Item item, String why) {
    List<Judged> judged = new ArrayList<>();
    Map<ItemId, Item> items =
        session
            .items()
            .byIds(
                needs.positions().stream()
                    .flatMap(position -> position.itemId().stream())
                    .collect(Collectors.toSet()));
    for (Position position : needs.positions()) {
      Optional<Item> preferred = position.itemId().map(items::get);
      if (preferred.filter(item::equals).isPresent()) {
        return Optional.empty();
      }
      if (preferred.filter(other -> other.family() == item.family()).isPresent()) {
        judged.add(new Judged(position, candidate(position, preferred.get(), item)));
      }
    }
    PutOnRule.Answer answer =
        PutOnRule.judge(
            item.family(),
            judged.stream().map(j -> j.candidate().map(Candidate::verdict)).toList());
    return switch (answer) {
      case FREE -> Optional.empty();
      case SAY_WHY -> why.isEmpty() ? Optional.of(asks(item, judged)) : Optional.empty();
      case NO -> Optional.of(fitsNowhere(item, judged));
    };
  }

  private Optional<Candidate> candidate(Position position, Item preferred, Item item) {
    Alternatives alternatives =
        Alternatives.of(
            session, today, preferred.partId(), PlaceDemands.of(session, needs, position));
    return StandIns.candidate(alternatives, item.id());
  }

  private TrayRefusal asks(Item item, List<Judged> judged) {
    return new TrayRefusal.SayWhatFor(unit, item, places(judged), first(judged));
  }

  private TrayRefusal fitsNowhere(Item item, List<Judged> judged) {
    return new TrayRefusal.FitsNowhere(unit, item, places(judged), first(judged));
  }

  private static List<String> places(List<Judged> judged) {
    return judged.stream().map(j -> j.position().name()).distinct().toList();
  }

  private static Optional<Candidate> first(List<Judged> judged) {
    return judged.stream().flatMap(j -> j.candidate().stream()).findFirst();
  }
}
