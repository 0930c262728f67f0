package dev.lonja.web.unitclass;

import dev.lonja.core.fleet.Outline;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.meter.JudgedMeter;
import dev.lonja.core.meter.MonthlyFactors;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.store.fleet.ClassRepository.StoredClass;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.security.SecureRandom;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Classes of units: their names, how their year goes, and their calendars. */
@Service
@Allowed.ToSeeStore
public class ClassDesk {

  private static final int LONGEST_NAME = 60;
  private static final String CODE = "[A-Z0-9][A-Z0-9-]{0,19}";
  private static final BigDecimal MOST = BigDecimal.valueOf(12);
  private static final int SECRET_BYTES = 16;

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;
  private final SecureRandom random = new SecureRandom();

  public ClassDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  ClassView.All all() {
    return store.read(
        session -> {
          List<Unit> units = session.fleet().units();
          return new ClassView.All(
              session.classes().all().stream()
                  .map(StoredClass::unitClass)
                  .map(
                      unitClass ->
                          new ClassView.Row(
                              unitClass.code(),
                              unitClass.name(),
                              Math.toIntExact(
                                  units.stream()
                                      .filter(unit -> unit.unitClass().equals(unitClass))
                                      .count())))
                  .toList());
        });
  }

  /** The page of one class; empty if there is none of this code. */
  Optional<ClassView> view(String code) {
    return store.read(
        session -> session.classes().byCode(code).map(stored -> view(session, stored)));
  }

  private ClassView view(Session session, StoredClass stored) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    List<JudgedMeter> meters =
        fleet.meters().values().stream()
            .filter(meter -> meter.file().unit().unitClass().equals(stored.unitClass()))
            .map(meter -> FleetPicture.judged(session, meter))
            .toList();
    return new ClassView(
        stored.unitClass().code(),
        stored.unitClass().name(),
        fleet.units().stream()
            .filter(unit -> unit.unitClass().equals(stored.unitClass()))
            .map(Unit::code)
            .toList(),
        stored.outline().name(),
        Arrays.stream(Outline.values())
            .map(o -> new ClassView.Choice(o.name(), o.words()))
            .toList(),
        stored.version(),
        fields(stored.months()),
        MonthlyFactors.learned(meters, clock.today())
            .map(
                months ->
                    new ClassView.Proposal(
                        MonthBars.draw(months, "What the readings of two years suggest"),
                        fields(months))),
        stored.secret().map(secret -> "/feeds/" + secret + ".ics"));
  }

  private static List<ClassView.MonthField> fields(List<Integer> factors) {
    List<ClassView.MonthField> fields = new ArrayList<>();
    for (int month = 1; month <= factors.size(); month++) {
      String name = Month.of(month).getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
      fields.add(new ClassView.MonthField(month, name, MonthBars.words(factors.get(month - 1))));
    }
    return fields;
  }

  /**
   * Adds a class.
   *
   * @param like the code of one whose months and drawing it takes; empty for even months
   */
  @Allowed.ToKeepStore
  public Outcome add(Sent sent, String code, String name, String like) {
    return once.run(
        sent,
        session -> {
          Typed typed = new Typed();
          String wanted = code.strip().toUpperCase(Locale.ROOT);
          if (!wanted.matches(CODE)) {
            typed.refuse(
                "code",
                "\"" + wanted + "\" cannot be a code; write up to 20 letters, digits and hyphens.");
          } else if (session.classes().byCode(wanted).isPresent()) {
            typed.refuse("code", "There is a class " + wanted + " already.");
          }
          Optional<String> title = typed.text("name", "The name", name, LONGEST_NAME);
          Optional<StoredClass> original = session.classes().byCode(like);
          if (!like.isEmpty() && original.isEmpty()) {
            typed.refuse("like", "The class to copy is not on file any more.");
          }
          if (!typed.problems().isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          long id = session.classes().add(wanted, title.orElseThrow());
          original.ifPresent(
              from -> {
                session.classes().edit(id, 0, title.get(), from.outline());
                session.classes().setMonths(id, 1, from.months());
              });
          audit(session, sent, id, "added", "", wanted + ", " + title.get());
          return done(wanted);
        });
  }

  /** Deletes a class; refused while units belong to it. */
  @Allowed.ToKeepStore
  public Outcome delete(Sent sent, String code) {
    return once.run(
        sent,
        session -> {
          StoredClass stored = session.classes().byCode(code).orElseThrow();
          int units = session.classes().units(stored.unitClass().id());
          if (units > 0) {
            return Outcome.refused(
                Problem.ofWhole(
                    "It cannot be deleted: "
                        + Words.count(units, "unit belongs", "units belong")
                        + " to it. Retired ones count too."));
          }
          session.classes().delete(stored.unitClass().id());
          String before = stored.unitClass().code() + ", " + stored.unitClass().name();
          audit(session, sent, stored.unitClass().id(), "deleted", before, "");
          return new Outcome.Done("/fleet/classes");
        });
  }

  @Allowed.ToKeepStore
  public Outcome edit(Sent sent, String code, long version, String name, String outline) {
    return once.run(
        sent,
        session -> {
          StoredClass stored = session.classes().byCode(code).orElseThrow();
          Typed typed = new Typed();
          Optional<String> title = typed.text("name", "The name", name, LONGEST_NAME);
          Optional<Outline> shape =
              List.of(Outline.values()).stream().filter(o -> o.name().equals(outline)).findFirst();
          if (shape.isEmpty()) {
            typed.refuse("outline", "Choose how its machines are drawn.");
          }
          if (!typed.problems().isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          if (!session
              .classes()
              .edit(stored.unitClass().id(), version, title.orElseThrow(), shape.orElseThrow())) {
            return stale();
          }
          audit(
              session,
              sent,
              stored.unitClass().id(),
              "edited",
              stored.unitClass().name() + ", " + stored.outline().words(),
              title.get() + ", " + shape.get().words());
          return done(code);
        });
  }

  /** Sets the twelve months; whatever is typed is scaled to mean 1. */
  @Allowed.ToKeepStore
  public Outcome setMonths(Sent sent, String code, long version, List<String> typedMonths) {
    return once.run(
        sent,
        session -> {
          StoredClass stored = session.classes().byCode(code).orElseThrow();
          Typed typed = new Typed();
          List<BigDecimal> weights = weights(typed, typedMonths);
          if (!typed.problems().isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          Optional<List<Integer>> factors = MonthlyFactors.scaled(weights);
          if (factors.isEmpty()) {
            return Outcome.refused(
                new Problem(
                    "month-1",
                    "All twelve months are 0; a machine that never runs has no months. Retire it,"
                        + " or note a lay-up."));
          }
          if (!session.classes().setMonths(stored.unitClass().id(), version, factors.get())) {
            return stale();
          }
          audit(
              session,
              sent,
              stored.unitClass().id(),
              "months",
              words(stored.months()),
              words(factors.get()));
          return done(code);
        });
  }

  private static List<BigDecimal> weights(Typed typed, List<String> months) {
    List<BigDecimal> weights = new ArrayList<>();
    for (int month = 1; month <= months.size(); month++) {
      String field = "month-" + month;
      String name = Month.of(month).getDisplayName(TextStyle.FULL, Locale.ENGLISH);
      Optional<BigDecimal> weight = typed.decimal(field, name, months.get(month - 1));
      if (weight.filter(w -> w.signum() < 0 || w.compareTo(MOST) > 0).isPresent()) {
        typed.refuse(
            field, name + " is " + months.get(month - 1).strip() + "; allowed is 0 to 12.");
      }
      weights.add(weight.orElse(BigDecimal.ZERO));
    }
    return weights;
  }

  private static String words(List<Integer> factors) {
    return factors.stream().map(MonthBars::words).collect(Collectors.joining(" "));
  }

  /** Gives the class's calendar a new secret address, or takes it away. */
  @Allowed.ToKeepStore
  public Outcome setFeed(Sent sent, String code, boolean wanted) {
    return once.run(
        sent,
        session -> {
          StoredClass stored = session.classes().byCode(code).orElseThrow();
          byte[] secret = new byte[SECRET_BYTES];
          random.nextBytes(secret);
          session
              .classes()
              .setSecret(
                  stored.unitClass().id(),
                  wanted ? Optional.of(HexFormat.of().formatHex(secret)) : Optional.empty());
          audit(
              session,
              sent,
              stored.unitClass().id(),
              "calendar",
              stored.secret().isPresent() ? "an address" : "no address",
              wanted ? "a new address" : "no address");
          return done(code);
        });
  }

  private static Outcome stale() {
    return Outcome.refused(
        Problem.ofWhole("Someone else has changed this class. What is on file stands above."));
  }

  private static Outcome done(String code) {
    return new Outcome.Done("/fleet/classes/" + code);
  }

  private void audit(
      Session session, Sent sent, long id, String action, String before, String after) {
    AuditLog.Line line = new AuditLog.Line(action, before, after, sent.actor(), clock.now());
    session.audit().add("class", id, line);
  }
}
