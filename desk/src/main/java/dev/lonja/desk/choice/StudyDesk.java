package dev.lonja.desk.choice;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.quantity.Money;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.SpecUse;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.fluid.StudyRepository.ChangeOver;
import dev.lonja.store.fluid.StudyRepository.KeptStudy;
import dev.lonja.store.fluid.StudyRepository.Study;
import java.math.BigDecimal;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/** Which products are really needed: studies made, kept, compared and put into effect. */
@Service
@Allowed.ToSeeStore
public class StudyDesk extends KeepersDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public StudyDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * A study with what it would change.
   *
   * @param places compartments with their variants, those that are still there
   * @param products by number, those that are still on file
   * @param units their codes, those that are still in service
   * @param applied the change-overs that were set from it and are still to come
   */
  public record StudyFile(
      KeptStudy kept,
      ChangeOvers plan,
      Map<CompartmentId, SpecUse> places,
      Map<ProductId, Product> products,
      Map<UnitId, String> units,
      int applied) {}

  /**
   * What a person asks for.
   *
   * @param holding what keeping one product costs a year, in the store's currency
   */
  public record Wish(
      String title,
      Level allowed,
      BigDecimal holding,
      Set<ProductId> forbidden,
      Set<ProductId> kept) {}

  /** Why no study is made or put into effect. */
  public enum Refused implements Refusal {
    /** No fluid with a known price is stocked. */
    NOTHING_PRICED,
    /** Nothing that is left covers any spec in use. */
    NOTHING_COVERS,
    /** The study is not on file. */
    NOT_ON_FILE,
    /** It changes nothing. */
    NOTHING_TO_CHANGE
  }

  /** All studies, newest first. */
  public List<KeptStudy> all() {
    return store.read(session -> session.studies().all());
  }

  /** The products that a study may forbid or keep. */
  public List<Product> products() {
    return store.read(session -> session.products().all());
  }

  /** The currency in which its costs are said. */
  public Currency currency() {
    return store.read(session -> session.settings().currency());
  }

  /** Empty for an unknown study. */
  public Optional<StudyFile> file(long id) {
    return store.read(session -> session.studies().byId(id).map(kept -> file(session, kept)));
  }

  private StudyFile file(Session session, KeptStudy kept) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    Map<CompartmentId, SpecUse> places = new HashMap<>();
    SpecUse.all(session, fleet).forEach(use -> places.put(use.compartment().id(), use));
    Map<ProductId, Product> products = new HashMap<>();
    session.products().all().forEach(product -> products.put(product.id(), product));
    Map<UnitId, String> units = new HashMap<>();
    fleet.units().forEach(unit -> units.put(unit.id(), unit.code()));
    return new StudyFile(
        kept,
        ChangeOvers.of(session, clock.today(), kept.study()),
        places,
        products,
        units,
        (int)
            session.studies().changeOvers().values().stream()
                .filter(change -> change.studyId() == kept.id())
                .count());
  }

  /** Makes a study and keeps it; answers its number. */
  @Allowed.ToKeepStore
  public Outcome make(Sent sent, Wish wish) {
    return once.run(
        sent,
        session -> {
          Optional<Study> study =
              new StudyMaker(session, clock.today())
                  .make(
                      new StudyMaker.Wish(
                          wish.title(),
                          wish.allowed(),
                          Money.of(wish.holding(), session.settings().currency()),
                          wish.forbidden(),
                          wish.kept()),
                      sent.actor());
          if (study.isEmpty()) {
            return Outcome.refused(Refused.NOTHING_PRICED);
          }
          if (study.get().lines().stream().allMatch(line -> line.proposed().isEmpty())) {
            return Outcome.refused(Refused.NOTHING_COVERS);
          }
          return Outcome.done(session.studies().add(study.get(), clock.now()));
        });
  }

  /**
   * Puts a study into effect: each compartment changes over on the day on which its old stock no
   * longer lasts. Trays that are open keep what lies on them.
   */
  @Allowed.ToKeepStore
  public Outcome apply(Sent sent, long id) {
    return once.run(
        sent,
        session -> {
          Optional<KeptStudy> kept = session.studies().byId(id);
          if (kept.isEmpty()) {
            return Outcome.refused(Refused.NOT_ON_FILE);
          }
          List<ChangeOvers.Change> changes =
              ChangeOvers.of(session, clock.today(), kept.get().study()).changes();
          if (changes.isEmpty()) {
            return Outcome.refused(Refused.NOTHING_TO_CHANGE);
          }
          changes.forEach(
              change ->
                  session
                      .studies()
                      .set(
                          new ChangeOver(
                              change.compartmentId(), change.item().id(), change.on(), id)));
          audit(session, sent, id, Deed.APPLIED, changes.size());
          return Outcome.done();
        });
  }

  /** Takes back the change-overs of a study; those that have come stay until then too. */
  @Allowed.ToKeepStore
  public Outcome takeBack(Sent sent, long id) {
    return once.run(
        sent,
        session -> {
          List<ChangeOver> set =
              session.studies().changeOvers().values().stream()
                  .filter(change -> change.studyId() == id)
                  .toList();
          set.forEach(change -> session.studies().cancel(change.compartmentId()));
          audit(session, sent, id, Deed.TAKEN_BACK, set.size());
          return Outcome.done();
        });
  }

  private void audit(Session session, Sent sent, long id, Deed deed, int changeOvers) {
    Facts after = Facts.of("change_overs", changeOvers);
    session.audit().add(sent.line(clock.now(), Matter.STUDY, id, deed, Facts.NONE, after));
  }
}
