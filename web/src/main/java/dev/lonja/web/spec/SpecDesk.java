package dev.lonja.web.spec;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.fluid.BrakeBase;
import dev.lonja.core.fluid.Chemistry;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.Season;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.grade.GradeRow;
import dev.lonja.core.grade.Window;
import dev.lonja.core.item.Item;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import dev.lonja.web.fluid.ReasonWording;
import dev.lonja.web.fluid.VerdictView;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Typed;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;

/** What one compartment demands: shown with what meets it, and edited with the effect at once. */
@Service
@Allowed.ToSeeStore
public class SpecDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public SpecDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** A compartment with the variant it belongs to. */
  private record Place(StoredVariant stored, Compartment compartment) {
    Variant variant() {
      return stored.variant();
    }
  }

  /** Empty if there is no such compartment. */
  Optional<SpecView> view(CompartmentId compartmentId, WindowEntry entry) {
    return store.read(
        session -> place(session, compartmentId).map(place -> view(session, place, entry)));
  }

  private static Optional<Place> place(Session session, CompartmentId compartmentId) {
    return session.fleet().needs().entrySet().stream()
        .flatMap(
            needs ->
                needs.getValue().compartments().stream()
                    .filter(c -> c.id().equals(compartmentId))
                    .flatMap(
                        c ->
                            session.variants().byId(needs.getKey()).stream()
                                .map(stored -> new Place(stored, c))))
        .findFirst();
  }

  private SpecView view(Session session, Place place, WindowEntry entry) {
    FluidBook book = FluidBook.load(session, clock.today());
    Compartment compartment = place.compartment();
    Spec spec = compartment.spec();
    Window window = entry.window(book.climate());
    SpecJudge judge = book.judge(spec, window);
    List<GradeRow> rows = spec.chart().rows();
    return new SpecView(
        compartment.id(),
        place.variant().id(),
        compartment.name(),
        place.variant().display(),
        spec.kind().words(),
        rows.stream().map(SpecWording::grade).toList(),
        SpecWording.demands(spec),
        session.fleet().units().stream()
            .filter(unit -> unit.variant().id() == place.variant().id())
            .map(Unit::code)
            .toList(),
        compartment
            .on(clock.today())
            .itemId()
            .flatMap(id -> session.items().byId(id))
            .map(Item::number)
            .orElse(""),
        rows.isEmpty() ? "" : YearDrawing.of(book.climate(), rows),
        summary(book, spec),
        VerdictView.all(book, spec, judge),
        entry.words(),
        seasonal(book, judge, spec),
        place.stored().version());
  }

  /** "Met by 3 products, 1 of them on the shelf." */
  private static String summary(FluidBook book, Spec spec) {
    SpecJudge judge = book.judge(spec);
    List<ProductClaims> free =
        book.ofKind(spec.kind()).stream()
            .filter(read -> judge.judge(read).overall().isFree())
            .toList();
    long here = free.stream().filter(read -> book.isOnShelf(read.product())).count();
    return free.isEmpty()
        ? "No product meets it without a signature."
        : "Met by "
            + Words.count(free.size(), "product", "products")
            + (here == 0 ? ", none on the shelf." : ", " + here + " on the shelf.");
  }

  private List<String> seasonal(FluidBook book, SpecJudge judge, Spec spec) {
    List<String> lines = new ArrayList<>();
    for (ProductClaims read : book.ofKind(spec.kind())) {
      Suitability verdict = judge.judge(read);
      if (verdict.overall() == Level.SEASONAL) {
        lines.add(
            read.product().display()
                + " may be used from "
                + ReasonWording.months(verdict.season())
                + "."
                + changeOver(new Season(verdict.season())));
      }
    }
    return lines;
  }

  private String changeOver(Season season) {
    return season
        .nextChange(clock.today())
        .map(
            day ->
                (season.serves(clock.today())
                        ? " Change over to another by "
                        : " Change to it from ")
                    + Words.day(day, clock.today())
                    + ".")
        .orElse("");
  }

  /** The form, filled as typed or as on file; empty if there is no such compartment. */
  @Allowed.ToKeepStore
  Optional<SpecView.Form> form(CompartmentId compartmentId, Map<String, String> typed) {
    return store.read(
        session ->
            place(session, compartmentId)
                .map(
                    place -> {
                      Map<String, String> fields =
                          typed.isEmpty() ? SpecEntry.fields(place.compartment().spec()) : typed;
                      return new SpecView.Form(
                          compartmentId,
                          place.compartment().name() + ", " + place.variant().display(),
                          place.stored().version(),
                          fields,
                          choices(FluidKind.values(), k -> FluidKind.valueOf(k).words()),
                          choices(Chemistry.values(), c -> Chemistry.valueOf(c).words()),
                          choices(BrakeBase.values(), b -> BrakeBase.valueOf(b).words()),
                          IntStream.rangeClosed(1, SpecEntry.GRADE_ROWS).boxed().toList(),
                          effect(session, fields));
                    }));
  }

  private static List<SpecView.Choice> choices(Enum<?>[] values, Function<String, String> words) {
    return Arrays.stream(values)
        .map(value -> new SpecView.Choice(value.name(), words.apply(value.name())))
        .toList();
  }

  /** What a form would mean, without saving it. */
  @Allowed.ToKeepStore
  SpecView.Effect effect(Map<String, String> fields) {
    return store.read(session -> effect(session, fields));
  }

  private SpecView.Effect effect(Session session, Map<String, String> fields) {
    FluidBook book = FluidBook.load(session, clock.today());
    Typed typed = new Typed();
    return new SpecEntry(fields, book.reference(), typed)
        .spec()
        .map(
            spec ->
                new SpecView.Effect(summary(book, spec), List.of(), VerdictView.all(book, spec)))
        .orElseGet(
            () ->
                new SpecView.Effect(
                    "", typed.problems().stream().map(Problem::text).toList(), List.of()));
  }

  /** Writes a spec in place of what was there. */
  @Allowed.ToKeepStore
  public Outcome save(
      Sent sent, CompartmentId compartmentId, long version, Map<String, String> fields) {
    return once.run(
        sent,
        session -> {
          Optional<Place> place = place(session, compartmentId);
          if (place.isEmpty() || !session.variants().touch(place.get().variant().id(), version)) {
            return Outcome.refused(
                Problem.ofWhole(
                    "Someone else has changed this variant since the form was shown. Look at"
                        + " what is on file and save again."));
          }
          Typed typed = new Typed();
          Optional<Spec> spec = new SpecEntry(fields, session.references().fluids(), typed).spec();
          if (spec.isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          session.specs().save(compartmentId, spec.get());
          session
              .audit()
              .add(
                  "variant",
                  place.get().variant().id(),
                  new AuditLog.Line(
                      "spec of " + place.get().compartment().name(),
                      words(place.get().compartment().spec()),
                      words(spec.get()),
                      sent.actor(),
                      clock.now()));
          return new Outcome.Done("/oils/specs/" + compartmentId);
        });
  }

  private static String words(Spec spec) {
    List<String> words = new ArrayList<>(List.of(spec.kind().words()));
    spec.chart().rows().forEach(row -> words.add(SpecWording.grade(row)));
    words.addAll(SpecWording.demands(spec));
    return String.join("; ", words);
  }
}
