package dev.lonja.store.setting;

import static dev.lonja.store.schema.Tables.SETTING;

import dev.lonja.core.count.CountPlan;
import dev.lonja.core.mixture.MixPolicy;
import dev.lonja.core.pour.FillPolicy;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.store.query.FixedQuery;
import java.math.BigDecimal;
import java.time.ZoneId;
import java.util.Currency;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;

/** The settings of the store; each has a default until it is set. */
public final class SettingRepository {

  private static final int DAYS = 7;

  private static final String STORE_NAME = "store_name";
  private static final String CURRENCY = "currency";
  private static final String TIME_ZONE = "time_zone";

  private static final String MOST_ALONE = "second_person_above";

  private static final String TRIAL_SEED = "trial_seed";

  private static final String COVER_WEEKS = "cover_weeks";

  private static final String BINS_A_DAY = "bins_a_day";

  private static final String US_UNITS = "us_units";

  private static final String HANDLING_LOSS = "handling_loss";
  private static final String HOLD_BACK = "hold_back";
  private static final String LEAST_HOLD_BACK = "least_hold_back";
  private static final String JUG = "jug";
  private static final String STROKE = "grease_stroke";
  private static final String COOLANT_SHARE = "coolant_share";

  private static final FixedQuery ALL =
      FixedQuery.of(DSL.select(SETTING.NAME, SETTING.VALUE).from(SETTING));

  private final DSLContext context;
  private final Supplier<Values> values;

  /** What is set, by name; a dozen at most, so they are read together. */
  public record Values(Map<String, String> byName) {}

  /**
   * @param values as they stand whenever they are asked for
   */
  public SettingRepository(DSLContext context, Supplier<Values> values) {
    this.context = context;
    this.values = values;
  }

  /** Reads what is set. */
  public static Values read(DSLContext context) {
    return new Values(ALL.with(context).fetchMap(SETTING.NAME, SETTING.VALUE));
  }

  public String storeName() {
    return value(STORE_NAME, "Main store");
  }

  /** True once the store has a name of its own. */
  public boolean isNamed() {
    return values.get().byName().containsKey(STORE_NAME);
  }

  public Currency currency() {
    return Currency.getInstance(value(CURRENCY, "EUR"));
  }

  /** The zone whose midnight ends the store's day. */
  public ZoneId timeZone() {
    return ZoneId.of(value(TIME_ZONE, "UTC"));
  }

  public void set(String storeName, Currency currency, ZoneId timeZone) {
    put(STORE_NAME, storeName);
    put(CURRENCY, currency.getCurrencyCode());
    put(TIME_ZONE, timeZone.getId());
  }

  /** How the store reckons and pours a fill; the usual way until it is set. */
  public FillPolicy fillPolicy() {
    FillPolicy usual = FillPolicy.DEFAULT;
    return new FillPolicy(
        new BigDecimal(value(HANDLING_LOSS, PlainDecimal.of(usual.handlingLoss()))),
        new BigDecimal(value(HOLD_BACK, PlainDecimal.of(usual.holdBack()))),
        Volume.ofLitres(value(LEAST_HOLD_BACK, usual.leastHoldBack().exactText())),
        Volume.ofLitres(value(JUG, usual.jug().exactText())),
        Quantity.kilograms(value(STROKE, usual.stroke().exactText())));
  }

  public void set(FillPolicy policy) {
    put(HANDLING_LOSS, PlainDecimal.of(policy.handlingLoss()));
    put(HOLD_BACK, PlainDecimal.of(policy.holdBack()));
    put(LEAST_HOLD_BACK, policy.leastHoldBack().exactText());
    put(JUG, policy.jug().exactText());
    put(STROKE, policy.stroke().exactText());
  }

  /** The part of concentrate in coolant where a book says nothing. */
  public BigDecimal coolantShare() {
    return new BigDecimal(value(COOLANT_SHARE, PlainDecimal.of(MixPolicy.USUAL_COOLANT)));
  }

  public void setCoolantShare(BigDecimal share) {
    put(COOLANT_SHARE, PlainDecimal.of(share));
  }

  /** What one person may write off or put right alone; empty if there is no limit. */
  public Optional<Money> mostAlone() {
    return Optional.ofNullable(values.get().byName().get(MOST_ALONE))
        .filter(text -> !text.isEmpty())
        .map(text -> Money.of(new BigDecimal(text), currency()));
  }

  /** Sets what one person may do alone; nothing for no limit. */
  public void setMostAlone(Optional<Money> most) {
    put(MOST_ALONE, most.map(Money::exactText).orElse(""));
  }

  /** True if US customary units stand beside the metric ones. */
  public boolean showsUsUnits() {
    return value(US_UNITS, "no").equals("yes");
  }

  /** For how many weeks an order is to last. */
  public int coverWeeks() {
    return Integer.parseInt(value(COVER_WEEKS, String.valueOf(Reordering.COVER_DAYS / DAYS)));
  }

  /** In how many bins is counted on a day, at most. */
  public int binsADay() {
    return Integer.parseInt(value(BINS_A_DAY, String.valueOf(CountPlan.BINS_A_DAY)));
  }

  public void setBinsADay(int bins) {
    put(BINS_A_DAY, String.valueOf(bins));
  }

  public void setCoverWeeks(int weeks) {
    put(COVER_WEEKS, String.valueOf(weeks));
  }

  /** Names the store anew, and says which units it shows and how its forecast draws. */
  public void set(String storeName, boolean usUnits, long trialSeed) {
    put(STORE_NAME, storeName);
    put(TRIAL_SEED, String.valueOf(trialSeed));
    put(US_UNITS, usUnits ? "yes" : "no");
  }

  /** The seed of the forecast's trials. */
  public long trialSeed() {
    return Long.parseLong(value(TRIAL_SEED, "1"));
  }

  private String value(String name, String otherwise) {
    return values.get().byName().getOrDefault(name, otherwise);
  }

  private void put(String name, String value) {
    context
        .insertInto(SETTING, SETTING.NAME, SETTING.VALUE)
        .values(name, value)
        .onConflict(SETTING.NAME)
        .doUpdate()
        .set(SETTING.VALUE, value)
        .execute();
  }
}
