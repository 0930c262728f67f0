package dev.lonja.web.pour;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.forecast.Cover;
import dev.lonja.desk.choice.PackDesk;
import dev.lonja.desk.forecast.AheadDesk;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.web.fluid.ReasonWording;
import dev.lonja.web.frame.Words;
import dev.lonja.web.spec.SpecView;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Which packs to buy or to open.
 *
 * @param name of the product; empty if none is chosen
 * @param places what the product may go into, and where it is in use without being allowed
 * @param begin what runs short, the shortest first; empty once something is asked
 * @param noBuying why nothing can be bought; empty before a need is asked for
 */
public record PackView(
    List<SpecView.Choice> products,
    Asked asked,
    String name,
    List<String> places,
    Optional<Advice> buying,
    Optional<Advice> taking,
    String noBuying,
    String noTaking,
    List<Short> begin) {

  /** A fluid that runs short: "12.40 L until 13 Sep, from 12 Apr on". */
  public record Short(ProductId product, String name, String litres, String by, String words) {}

  /** What was asked, as typed. */
  public record Asked(String product, String litres, String by) {}

  /**
   * An answer.
   *
   * @param packs "1 × 5.00 L (FA 15-5) + 2 × 1.00 L (FA 15-1)"
   * @param left what stays open and until when, or what stays sealed; empty if nothing is left
   * @param flag why it is wasteful; empty if it is not
   * @param runnerUp the next best with its figures; empty if there is none
   */
  public record Advice(
      String packs, String left, String paid, String perLitre, String flag, String runnerUp) {}

  static PackView of(
      List<Product> products,
      Asked asked,
      Optional<PackDesk.Advice> advice,
      Optional<PackDesk.Need> need,
      Optional<Forecast> ahead,
      LocalDate today) {
    LocalDate day = need.map(PackDesk.Need::by).orElse(today);
    boolean answers = advice.isPresent() && need.isPresent();
    return new PackView(
        products.stream()
            .map(p -> new SpecView.Choice(String.valueOf(p.id()), p.display()))
            .toList(),
        asked,
        advice.map(a -> a.product().display()).orElse(""),
        advice.map(PackView::places).orElse(List.of()),
        advice.flatMap(PackDesk.Advice::buying).map(c -> PackWording.advice(c, day, today)),
        advice.flatMap(PackDesk.Advice::taking).map(c -> PackWording.advice(c, day, today)),
        answers ? "Nobody is known to sell packs that cover it and have room here." : "",
        answers ? "What is free on the shelf does not cover it." : "",
        ahead.map(forecast -> begin(forecast, today)).orElse(List.of()));
  }

  private static List<Short> begin(Forecast ahead, LocalDate today) {
    return ahead.subjects().stream()
        .filter(subject -> subject.product().isPresent())
        .filter(subject -> subject.cover().shortOn().isPresent())
        .sorted(Comparator.comparing(subject -> subject.cover().shortOn().orElseThrow()))
        .map(subject -> begin(subject.product().orElseThrow(), subject.cover(), today))
        .toList();
  }

  private static Short begin(Product product, Cover cover, LocalDate today) {
    LocalDate day = cover.shortOn().orElseThrow();
    return new Short(
        product.id(),
        product.display(),
        cover.lacking().exactText(),
        day.toString(),
        cover.lacking().display()
            + " within "
            + AheadDesk.WEEKS
            + " weeks, the first on "
            + Words.day(day, today));
  }

  /** What to know before ordering: where the product may go, and where it is in use wrongly. */
  private static List<String> places(PackDesk.Advice advice) {
    List<String> lines = new ArrayList<>();
    lines.add("May go into " + Words.count(advice.places(), "place", "places") + " of this fleet.");
    advice
        .wronglyUsed()
        .forEach(
            wrong ->
                lines.add(
                    "In use in "
                        + wrong.use().display()
                        + ", but "
                        + String.join("; ", ReasonWording.against(wrong.verdict()))
                        + "."));
    return lines;
  }
}
