package dev.lonja.desk.fluid;

import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.Season;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.grade.Climate;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** The store's temperature year, and what may be used in part of it only. */
@Service
@Allowed.ToSeeStore
public class YearDesk extends KeepersDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public YearDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * The year.
   *
   * @param stated false while the store has not set its own
   */
  public record Year(boolean stated, Climate climate, List<PartOfYear> seasonal) {}

  /** A product that serves a spec in part of the year. */
  public record PartOfYear(SpecUse use, Product product, Season season) {}

  public Year year() {
    return store.read(
        session -> {
          FluidBook book = FluidBook.load(session, clock.today());
          return new Year(
              session.climate().stated().isPresent(), book.climate(), seasonal(session, book));
        });
  }

  private List<PartOfYear> seasonal(Session session, FluidBook book) {
    List<PartOfYear> parts = new ArrayList<>();
    for (SpecUse use : SpecUse.all(session, FleetPicture.load(session, clock.today()))) {
      SpecJudge judge = book.judge(use.spec());
      for (ProductClaims read : book.ofKind(use.spec().kind())) {
        Suitability verdict = judge.judge(read);
        if (verdict.overall() == Level.SEASONAL) {
          parts.add(new PartOfYear(use, read.product(), new Season(verdict.season())));
        }
      }
    }
    return parts;
  }

  /** Sets all twelve months. */
  @Allowed.ToKeepStore
  public Outcome set(Sent sent, Climate climate) {
    return once.run(
        sent,
        session -> {
          String before = session.climate().stated().map(YearDesk::line).orElse("");
          session.climate().set(climate);
          session
              .audit()
              .add(
                  sent.line(
                      clock.now(),
                      Matter.CLIMATE,
                      "",
                      Deed.EDITED,
                      Facts.of("months_c", before),
                      Facts.of("months_c", line(climate))));
          return Outcome.done();
        });
  }

  private static String line(Climate climate) {
    return climate.months().stream()
        .map(range -> range.lowest().exactText() + "/" + range.highest().exactText())
        .collect(Collectors.joining(" "));
  }
}
