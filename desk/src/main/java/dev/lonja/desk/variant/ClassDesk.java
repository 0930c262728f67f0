package dev.lonja.desk.variant;

import dev.lonja.core.fleet.Outline;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.meter.JudgedMeter;
import dev.lonja.core.meter.MonthlyFactors;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.fleet.ClassRepository.StoredClass;
import java.math.BigDecimal;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Classes of units: their names, how their year goes, and their calendars. */
@Service
@Allowed.ToSeeStore
public class ClassDesk extends KeepersDesk {

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

  /** A class with how many units in service are of it. */
  public record Row(Unit.UnitClass unitClass, int units) {}

  /**
   * One class.
   *
   * @param units in service, by code
   * @param learned months that readings suggest; empty if they say nothing
   */
  public record ClassFile(
      StoredClass stored, List<String> units, Optional<List<Integer>> learned) {}

  /** Why nothing was changed. */
  public sealed interface Refused extends Refusal {}

  /** A class has this code already. */
  public record CodeTaken(String code) implements Refused {}

  /** The class to copy is not on file any more. */
  public record NoOriginal() implements Refused {}

  /** Units belong to it, retired ones counted. */
  public record HasUnits(int units) implements Refused {}

  /** All twelve months are 0. */
  public record NeverRuns() implements Refused {}

  public List<Row> all() {
    return store.read(
        session -> {
          List<Unit> units = session.fleet().serving(clock.today());
          return session.classes().all().stream()
              .map(StoredClass::unitClass)
              .map(
                  unitClass ->
                      new Row(
                          unitClass,
                          (int)
                              units.stream()
                                  .filter(unit -> unit.unitClass().equals(unitClass))
                                  .count()))
              .toList();
        });
  }

  /** Empty if there is no class of this code. */
  public Optional<ClassFile> file(String code) {
    return store.read(
        session -> session.classes().byCode(code).map(stored -> file(session, stored)));
  }

  private ClassFile file(Session session, StoredClass stored) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    List<JudgedMeter> meters =
        fleet.meters().values().stream()
            .filter(meter -> meter.file().unit().unitClass().equals(stored.unitClass()))
            .map(meter -> FleetPicture.judged(session, meter))
            .toList();
    return new ClassFile(
        stored,
        fleet.units().stream()
            .filter(unit -> unit.unitClass().equals(stored.unitClass()))
            .map(Unit::code)
            .toList(),
        MonthlyFactors.learned(meters, clock.today()));
  }

  /**
   * Adds a class; answers its code.
   *
   * @param like the code of one whose months and drawing it takes; empty for even months
   */
  @Allowed.ToKeepStore
  public Outcome add(Sent sent, String code, String name, Optional<String> like) {
    return once.run(
        sent,
        session -> {
          ClassAdding adding = new ClassAdding(session, clock, sent);
          List<Refused> refusals = adding.refusals(code, like);
          if (!refusals.isEmpty()) {
            return new Outcome.Refused(refusals);
          }
          adding.add(code, name, like);
          return Outcome.done(code);
        });
  }

  /** Deletes a class; refused while units belong to it. */
  @Allowed.ToKeepStore
  public Outcome delete(Sent sent, String code) {
    return onClass(
        sent,
        code,
        (session, stored) -> {
          int units = session.classes().units(stored.unitClass().id());
          if (units > 0) {
            return Outcome.refused(new HasUnits(units));
          }
          session.classes().delete(stored.unitClass().id());
          Facts before =
              Facts.of("code", stored.unitClass().code()).with("name", stored.unitClass().name());
          audit(session, sent, stored.unitClass().id(), Deed.DELETED, before, Facts.NONE);
          return Outcome.done();
        });
  }

  @Allowed.ToKeepStore
  public Outcome edit(Sent sent, String code, long version, String name, Outline outline) {
    return onClass(
        sent,
        code,
        (session, stored) -> {
          if (!session.classes().edit(stored.unitClass().id(), version, name, outline)) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          audit(
              session,
              sent,
              stored.unitClass().id(),
              Deed.EDITED,
              Facts.of("name", stored.unitClass().name()).with("outline", stored.outline()),
              Facts.of("name", name).with("outline", outline));
          return Outcome.done();
        });
  }

  /** Sets the twelve months; the weights are scaled to mean 1. */
  @Allowed.ToKeepStore
  public Outcome setMonths(Sent sent, String code, long version, List<BigDecimal> weights) {
    return onClass(
        sent,
        code,
        (session, stored) -> {
          Optional<List<Integer>> factors = MonthlyFactors.scaled(weights);
          if (factors.isEmpty()) {
            return Outcome.refused(new NeverRuns());
          }
          if (!session.classes().setMonths(stored.unitClass().id(), version, factors.get())) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          audit(
              session,
              sent,
              stored.unitClass().id(),
              Deed.EDITED,
              Facts.of("months", line(stored.months())),
              Facts.of("months", line(factors.get())));
          return Outcome.done();
        });
  }

  private static String line(List<Integer> factors) {
    return factors.stream().map(String::valueOf).collect(Collectors.joining(" "));
  }

  /** Gives the class's calendar a new secret address, or takes it away. */
  @Allowed.ToKeepStore
  public Outcome setFeed(Sent sent, String code, boolean wanted) {
    return onClass(
        sent,
        code,
        (session, stored) -> {
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
              Deed.EDITED,
              Facts.of("calendar_feed", stored.secret().isPresent()),
              Facts.of("calendar_feed", wanted));
          return Outcome.done();
        });
  }

  private Outcome onClass(Sent sent, String code, BiFunction<Session, StoredClass, Outcome> work) {
    return once.run(
        sent,
        session ->
            session
                .classes()
                .byCode(code)
                .map(stored -> work.apply(session, stored))
                .orElseGet(() -> Outcome.refused(RequestRefusal.CHANGED_MEANWHILE)));
  }

  private void audit(Session session, Sent sent, long id, Deed deed, Facts before, Facts after) {
    session.audit().add(sent.line(clock.now(), Matter.UNIT_CLASS, id, deed, before, after));
  }
}
