package dev.lonja.web.spec;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.Season;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.grade.Climate;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.fluid.SpecUse;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.web.fluid.ReasonWording;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** The store's temperature year, and what may be used in part of it only. */
@Service
@Allowed.ToSeeStore
public class YearDesk {

  private static final BigDecimal COLDEST = BigDecimal.valueOf(-90);
  private static final BigDecimal HOTTEST = BigDecimal.valueOf(90);

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public YearDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * The page.
   *
   * @param stated false while the store has not set its own year
   */
  record View(boolean stated, String drawing, List<MonthRow> months, List<SeasonRow> seasonal) {}

  record MonthRow(int number, String name, String lowest, String highest) {}

  /** A product that serves a spec in part of the year; {@code change} says when to change over. */
  record SeasonRow(
      String product,
      ProductId productId,
      String place,
      CompartmentId specId,
      String months,
      String change) {}

  View view() {
    return store.read(
        session -> {
          FluidBook book = FluidBook.load(session, clock.today());
          return new View(
              session.climate().stated().isPresent(),
              YearDrawing.of(book.climate(), List.of()),
              months(book.climate()),
              seasonal(session, book));
        });
  }

  private static List<MonthRow> months(Climate climate) {
    List<MonthRow> rows = new ArrayList<>();
    for (Month month : Month.values()) {
      Climate.MonthRange range = climate.of(month);
      rows.add(
          new MonthRow(
              month.getValue(),
              month.getDisplayName(TextStyle.SHORT, Locale.ENGLISH),
              range.lowest().exactText(),
              range.highest().exactText()));
    }
    return rows;
  }

  private List<SeasonRow> seasonal(Session session, FluidBook book) {
    List<SeasonRow> rows = new ArrayList<>();
    for (SpecUse use : SpecUse.all(session, FleetPicture.load(session, clock.today()))) {
      SpecJudge judge = book.judge(use.spec());
      for (ProductClaims read : book.ofKind(use.spec().kind())) {
        Suitability verdict = judge.judge(read);
        if (verdict.overall() == Level.SEASONAL) {
          rows.add(row(use, read, new Season(verdict.season())));
        }
      }
    }
    return rows;
  }

  private SeasonRow row(SpecUse use, ProductClaims read, Season season) {
    String change =
        season
            .nextChange(clock.today())
            .map(
                day ->
                    (season.serves(clock.today()) ? "change over by " : "may be used from ")
                        + Words.day(day, clock.today()))
            .orElse("");
    return new SeasonRow(
        read.product().display(),
        read.product().id(),
        use.display(),
        use.compartment().id(),
        ReasonWording.months(season.months()),
        change);
  }

  /** Sets all twelve months. */
  @Allowed.ToKeepStore
  public Outcome set(Sent sent, Map<String, String> fields) {
    return once.run(
        sent,
        session -> {
          Typed typed = new Typed();
          List<Climate.MonthRange> months = new ArrayList<>();
          for (Month month : Month.values()) {
            range(typed, month, fields).ifPresent(months::add);
          }
          if (!typed.problems().isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          String before = session.climate().stated().map(YearDesk::words).orElse("");
          Climate climate = new Climate(months);
          session.climate().set(climate);
          session
              .audit()
              .add(
                  "setting",
                  1,
                  new AuditLog.Line(
                      "temperature year", before, words(climate), sent.actor(), clock.now()));
          return new Outcome.Done("/oils/year");
        });
  }

  private static Optional<Climate.MonthRange> range(
      Typed typed, Month month, Map<String, String> fields) {
    String low = "low-" + month.getValue();
    String high = "high-" + month.getValue();
    Optional<Temperature> lowest =
        TemperatureEntry.of(typed, low, fields.getOrDefault(low, ""), COLDEST, HOTTEST);
    Optional<Temperature> highest =
        TemperatureEntry.of(typed, high, fields.getOrDefault(high, ""), COLDEST, HOTTEST);
    if (lowest.isEmpty() || highest.isEmpty()) {
      return Optional.empty();
    }
    if (lowest.get().compareTo(highest.get()) > 0) {
      typed.refuse(
          low,
          month.getDisplayName(TextStyle.FULL, Locale.ENGLISH)
              + " runs from "
              + lowest.get().display()
              + " to "
              + highest.get().display()
              + "; the lowest must not be above the highest.");
      return Optional.empty();
    }
    return Optional.of(new Climate.MonthRange(lowest.get(), highest.get()));
  }

  private static String words(Climate climate) {
    return climate.months().stream()
        .map(range -> range.lowest().exactText() + " to " + range.highest().exactText())
        .collect(Collectors.joining(", "));
  }
}
