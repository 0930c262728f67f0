package dev.lonja.web.pour;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.pour.TopUp;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.fluid.SumpLoader;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.fluid.PourRepository.StoredTopUp;
import dev.lonja.web.fluid.Hazards;
import dev.lonja.web.fluid.ReasonWording;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Typed;
import dev.lonja.web.spec.SpecView;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Shows what is in a compartment now, and what on the shelf may be added to it. */
@Service
@Allowed.ToSeeStore
class TopUpPages {

  private static final String USUAL = "0.5";

  private final LonjaStore store;
  private final StoreClock clock;

  TopUpPages(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** The page; what is wrong with what was asked is in {@code typed}. */
  TopUpView view(
      String unitCode, Optional<CompartmentId> compartmentId, String litres, Typed typed) {
    return store.read(
        session -> {
          FleetPicture fleet = FleetPicture.load(session, clock.today());
          Optional<Unit> unit = unit(fleet, unitCode);
          if (unit.isEmpty() && !unitCode.isBlank()) {
            typed.refuse("unit", "There is no unit \"" + unitCode + "\" in service.");
          }
          List<Compartment> compartments =
              unit.map(u -> fleet.needs(u.id()).compartments()).orElse(List.of());
          Optional<Compartment> chosen =
              compartments.stream()
                  .filter(c -> compartmentId.equals(Optional.of(c.id())))
                  .findFirst();
          String amount = litres.isBlank() ? USUAL : litres;
          Optional<Volume> volume =
              typed
                  .decimalUpTo("litres", "The litres", amount, TopUpDesk.MOST_LITRES)
                  .map(Volume::ofLitres);
          FluidBook book = FluidBook.load(session, clock.today());
          Optional<SumpLoader> sump =
              chosen.map(c -> SumpLoader.load(session, book, unit.orElseThrow().id(), c));
          return new TopUpView(
              fleet.units().stream()
                  .map(u -> new SpecView.Choice(u.code(), u.code() + " " + u.name()))
                  .toList(),
              unit.map(Unit::code).orElse(""),
              compartments.stream()
                  .map(c -> new SpecView.Choice(String.valueOf(c.id()), c.name()))
                  .toList(),
              chosen.map(Compartment::id),
              chosen.map(Compartment::name).orElse(""),
              sump.map(s -> now(session, s)).orElse(List.of()),
              sump.map(s -> s.topUps().stream().map(t -> pour(session, t)).toList())
                  .orElse(List.of()),
              amount,
              chosen.map(c -> cautions(session, book, c)).orElse(List.of()),
              sump.isPresent() && volume.isPresent()
                  ? rows(book, chosen.orElseThrow(), sump.get(), volume.get())
                  : List.of());
        });
  }

  /** The hazards of what may be handled here, each once. */
  private static List<String> cautions(Session session, FluidBook book, Compartment compartment) {
    Hazards hazards = Hazards.load(session);
    return book.ofKind(compartment.spec().kind()).stream()
        .filter(read -> book.isOnShelf(read.product()))
        .flatMap(read -> hazards.of(read.product()).stream())
        .distinct()
        .toList();
  }

  static Optional<Unit> unit(FleetPicture fleet, String code) {
    return fleet.units().stream()
        .filter(unit -> unit.code().equalsIgnoreCase(code.strip()))
        .findFirst();
  }

  private List<String> now(Session session, SumpLoader sump) {
    List<String> lines = new ArrayList<>();
    lines.add(
        sump.fill()
            .map(
                fill ->
                    "Filled with "
                        + name(session, fill.itemId())
                        + " on "
                        + Words.day(fill.on(), clock.today())
                        + ".")
            .orElse("What is in it is not on file; note the next fill when its job is back."));
    Volume most = sump.contents().mostOthers();
    lines.add(
        sump.contents().others().display()
            + " of other products since, "
            + most.display()
            + " is free: a tenth of "
            + sump.contents().capacity().display()
            + ".");
    return lines;
  }

  private static String name(Session session, ItemId itemId) {
    return session
        .items()
        .byId(itemId)
        .flatMap(Item::product)
        .map(product -> product.display())
        .orElse("");
  }

  private TopUpView.PourRow pour(Session session, StoredTopUp topUp) {
    return new TopUpView.PourRow(
        topUp.id(),
        topUp.volume().display()
            + " of "
            + name(session, topUp.itemId())
            + " on "
            + Words.day(topUp.on(), clock.today())
            + ", "
            + topUp.actor()
            + (topUp.note().isEmpty() ? "" : ": " + topUp.note()),
        topUp.signOff().map(s -> "signed by " + s.signedBy() + ", " + s.why()).orElse(""));
  }

  /** A product on the shelf, judged for the place and for what is in it. */
  private record Judged(ProductClaims read, Suitability suitability, TopUp.Verdict verdict) {}

  /** What lies on the shelf of the kind that goes in, what may be added first. */
  private static List<TopUpView.Row> rows(
      FluidBook book, Compartment compartment, SumpLoader sump, Volume litres) {
    SpecJudge judge = book.judge(compartment.spec());
    return book.ofKind(compartment.spec().kind()).stream()
        .filter(read -> book.isOnShelf(read.product()))
        .map(
            read -> {
              Suitability suitability = judge.judge(read);
              return new Judged(
                  read, suitability, TopUp.judge(sump.contents(), read, litres, suitability));
            })
        .sorted(Comparator.comparing(judged -> judged.verdict().answer()))
        .map(judged -> row(book, judged, litres))
        .toList();
  }

  private static TopUpView.Row row(FluidBook book, Judged judged, Volume litres) {
    ProductClaims read = judged.read();
    TopUp.Verdict verdict = judged.verdict();
    return new TopUpView.Row(
        read.product().id(),
        read.product().display(),
        Drum.of(read.product()),
        TopUpWording.state(verdict.answer()),
        lines(verdict, judged.suitability()),
        book.packs(read.product().id()).stream()
            .filter(item -> book.freeOf(item).compareTo(Quantity.of(litres)) >= 0)
            .map(
                item ->
                    new TopUpView.ItemChoice(
                        item.id(),
                        item.number()
                            + ", "
                            + book.freeOf(item).display()
                            + " in "
                            + item.homeBin().address()))
            .toList(),
        verdict.answer() == TopUp.Answer.SIGN_OFF,
        verdict.answer() == TopUp.Answer.NEVER);
  }

  /** What speaks against it, or for it if nothing does. */
  static List<String> lines(TopUp.Verdict verdict, Suitability suitability) {
    return verdict.concerns().isEmpty()
        ? ReasonWording.lines(suitability)
        : Stream.concat(
                verdict.concerns().stream().map(TopUpWording::line),
                ReasonWording.against(suitability).stream())
            .toList();
  }
}
