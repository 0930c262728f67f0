package dev.lonja.desk.setting;

import dev.lonja.core.count.CountPlan;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import org.springframework.stereotype.Service;

/** Says which store this is, which stands on the door, and which units it shows. */
@Service
@Allowed.ToEveryone
public class StoreDesk {

  /** The largest seed of trials. */
  public static final int MOST_SEED = 999_999_999;

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public StoreDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * The store as its pages show it.
   *
   * @param usUnits whether US customary units stand beside the metric ones
   * @param trialSeed of the forecast's trials, 0 to {@value #MOST_SEED}
   * @param coverWeeks for how long an order is to last, 1 to {@value Reordering#MOST_COVER_WEEKS}
   * @param binsADay in how many bins is counted on a day, 1 to {@value CountPlan#MOST_BINS_A_DAY}
   */
  public record Sign(String name, boolean usUnits, long trialSeed, int coverWeeks, int binsADay) {}

  /** Its name is empty or too long. */
  public record BadName(String name, int most) implements Refusal {}

  public Sign sign() {
    return store.read(StoreDesk::sign);
  }

  /** The same for whoever may change it. */
  @Allowed.ToAdminister
  public Sign toChange() {
    return sign();
  }

  private static Sign sign(Session session) {
    return new Sign(
        session.settings().storeName(),
        session.settings().showsUsUnits(),
        session.settings().trialSeed(),
        session.settings().coverWeeks(),
        session.settings().binsADay());
  }

  /** Names it anew, and says which units it shows. */
  @Allowed.ToAdminister
  public Outcome change(Sent sent, Sign wanted) {
    return once.run(
        sent,
        session -> {
          if (wanted.name().isBlank() || wanted.name().length() > Lengths.NAME) {
            return Outcome.refused(new BadName(wanted.name(), Lengths.NAME));
          }
          Facts before = facts(sign(session));
          session.settings().set(wanted.name(), wanted.usUnits(), wanted.trialSeed());
          session.settings().setCoverWeeks(wanted.coverWeeks());
          session.settings().setBinsADay(wanted.binsADay());
          session
              .audit()
              .add(sent.line(clock.now(), Matter.STORE, "", Deed.EDITED, before, facts(wanted)));
          return Outcome.done();
        });
  }

  private static Facts facts(Sign sign) {
    return Facts.of("name", sign.name())
        .with("us_units", sign.usUnits() ? "yes" : "no")
        .with("trial_seed", String.valueOf(sign.trialSeed()))
        .with("cover_weeks", String.valueOf(sign.coverWeeks()))
        .with("bins_a_day", String.valueOf(sign.binsADay()));
  }
}
