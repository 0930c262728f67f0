package dev.lonja.store.exchange;

import static dev.lonja.store.exchange.Column.number;
import static dev.lonja.store.exchange.Column.of;
import static dev.lonja.store.exchange.Column.reference;
import static dev.lonja.store.exchange.Format.instant;
import static dev.lonja.store.exchange.Format.symbol;
import static dev.lonja.store.exchange.Format.text;
import static dev.lonja.store.exchange.Format.words;
import static dev.lonja.store.exchange.Format.yesNo;
import static dev.lonja.store.schema.Tables.AUDIT_LINE;
import static dev.lonja.store.schema.Tables.PERSON;
import static dev.lonja.store.schema.Tables.PERSON_ROLE;
import static dev.lonja.store.schema.Tables.SETTING;

import dev.lonja.core.count.CountPlan;
import dev.lonja.core.person.PersonName;
import dev.lonja.core.person.Role;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.core.text.Lengths;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Matter;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Map;

/** Every table of the exchange format, in an order in which each row finds what it refers to. */
final class ExchangeTables {

  /** Numbers that the program gives: of edits, of lines. */
  static final long MOST = 999_999_999_999L;

  /** In the base units of the store, what people may write. */
  static final long LITRES_UL = 1_000_000L * Limits.LITRES;

  /** Of the seed of trials, which anybody can write down. */
  private static final long MOST_SEED = 999_999_999;

  /** In watts, written in kilowatts. */
  static final Format<Long> POWER_W = Format.scaled(3, 1, 100_000_000);

  static final long QUANTITY_MICRO = 1_000_000L * Limits.QUANTITY;

  /** The most of the dearest. */
  static final long BOOKED_MINOR = 1L * Limits.PRICE_MINOR * Limits.QUANTITY;

  static final long PRICE_E4 = 10_000L * Limits.PRICE_MINOR;
  static final long RUN_TENTHS = 10L * Limits.RUN;
  static final long METER_TENTHS = 10L * Limits.METER;
  static final long TORQUE_MNM = 1_000L * Limits.TORQUE;
  static final long LENGTH_UM = 1_000L * Limits.MILLIMETRES;

  static final List<ExchangeTable> ALL = inOrder();

  private ExchangeTables() {}

  private static List<ExchangeTable> inOrder() {
    List<ExchangeTable> all = new ArrayList<>(List.of(settings(), people(), personRoles()));
    all.addAll(PlaceTables.PLACES);
    all.addAll(PartTables.ALL);
    all.addAll(StockTables.BINS);
    all.addAll(FluidTables.PRODUCTS);
    all.addAll(StockTables.ALL);
    all.addAll(OrderTables.ALL);
    all.addAll(PlaceTables.TRANSFERS);
    all.addAll(StoresTables.ALL);
    all.addAll(FleetTables.ALL);
    all.addAll(FluidTables.SPECS);
    all.addAll(MeterTables.ALL);
    all.addAll(ServiceTables.ALL);
    all.add(PolicyTables.policies());
    all.add(PolicyTables.budgets());
    all.addAll(TrayTables.ALL);
    all.addAll(StoresTables.WASTE);
    all.add(PolicyTables.linePolicies());
    all.addAll(RecordTables.ALL);
    all.addAll(FluidTables.RECORDS);
    all.add(auditLines());
    return List.copyOf(all);
  }

  private static ExchangeTable settings() {
    return ExchangeTable.named("settings", SETTING)
        .with(
            of(
                "name",
                SETTING.NAME,
                symbol(
                    "store_name",
                    "currency",
                    "time_zone",
                    "handling_loss",
                    "hold_back",
                    "least_hold_back",
                    "jug",
                    "grease_stroke",
                    "coolant_share",
                    "second_person_above",
                    "us_units",
                    "trial_seed",
                    "cover_weeks",
                    "bins_a_day"),
                "which setting"))
        .with(of("value", SETTING.VALUE, text(Lengths.DESCRIPTION), "its value").orEmptyText())
        .rule(new RowRule("value", "what the setting may hold", ExchangeTables::isKnownSetting))
        .build();
  }

  private static ExchangeTable people() {
    return ExchangeTable.named("people", PERSON)
        .with(number("id", PERSON.ID, "number of the row"))
        .with(of("name", PERSON.NAME, text(PersonName.LONGEST), "name to sign in with"))
        .with(of("active", PERSON.ACTIVE, yesNo(), "whether the person may sign in"))
        .rule(
            new RowRule(
                "name",
                "no blanks around it or two in a row",
                row ->
                    PersonName.of(row.get("name"))
                        .filter(n -> n.text().equals(row.get("name")))
                        .isPresent()))
        .notAlike("name", PersonName::keyOf)
        .derive(PERSON.NAME_KEY, row -> PersonName.keyOf(row.get("name")))
        .build();
  }

  private static ExchangeTable personRoles() {
    return ExchangeTable.named("person_roles", PERSON_ROLE)
        .with(number("id", PERSON_ROLE.ID, "number of the row"))
        .with(reference("person_id", PERSON_ROLE.PERSON_ID, "people", "who"))
        .with(of("role", PERSON_ROLE.ROLE, words(Role.values()), "what the person may do"))
        .unique("person_id", "role")
        .build();
  }

  private static ExchangeTable auditLines() {
    return ExchangeTable.named("audit_lines", AUDIT_LINE)
        .with(number("id", AUDIT_LINE.ID, "number of the row"))
        .with(of("recorded_at", AUDIT_LINE.RECORDED_AT, instant(), "when"))
        .with(of("actor", AUDIT_LINE.ACTOR, text(Lengths.NAME), "who").orEmptyText())
        .with(of("origin", AUDIT_LINE.ORIGIN, text(Lengths.NAME), "from where").orEmptyText())
        .with(of("matter", AUDIT_LINE.MATTER, words(Matter.values()), "what it is about"))
        .with(of("subject", AUDIT_LINE.SUBJECT, text(Lengths.NAME), "which").orEmptyText())
        .with(of("deed", AUDIT_LINE.DEED, words(Deed.values()), "what was done"))
        .with(of("before", AUDIT_LINE.BEFORE_FACTS, Format.facts(), "how it was, as JSON"))
        .with(of("after", AUDIT_LINE.AFTER_FACTS, Format.facts(), "how it is, as JSON"))
        .build();
  }

  /** What the value of a setting may be. */
  private static boolean isKnownSetting(Map<String, String> row) {
    return switch (row.get("name")) {
      case "currency" ->
          Currency.getAvailableCurrencies().stream()
              .anyMatch(currency -> currency.getCurrencyCode().equals(row.get("value")));
      case "time_zone" -> ZoneId.getAvailableZoneIds().contains(row.get("value"));
      case "handling_loss" -> isScaled(row, 4, 0, 2_000);
      case "hold_back" -> isScaled(row, 4, 0, 2_500);
      case "least_hold_back" -> isScaled(row, 3, 0, 5_000);
      case "coolant_share" -> isScaled(row, 4, 3_300, 6_000);
      case "grease_stroke" -> isScaled(row, 6, 100, 20_000);
      case "jug" -> isScaled(row, 3, 10, 1_000);
      case "trial_seed" -> isScaled(row, 0, 0, MOST_SEED);
      case "cover_weeks" -> isScaled(row, 0, 1, Reordering.MOST_COVER_WEEKS);
      case "bins_a_day" -> isScaled(row, 0, 1, CountPlan.MOST_BINS_A_DAY);
      case "us_units" -> List.of("yes", "no").contains(row.get("value"));
      case "second_person_above" ->
          row.get("value").isEmpty() || isScaled(row, 2, 0, Limits.VALUE_MINOR);
      default -> !row.get("value").isEmpty();
    };
  }

  private static boolean isScaled(Map<String, String> row, int decimals, long least, long most) {
    return Format.scaled(decimals, least, most).parse().apply(row.get("value")).isPresent();
  }
}
