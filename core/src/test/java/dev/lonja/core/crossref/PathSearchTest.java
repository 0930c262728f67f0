package dev.lonja.core.crossref;

import static dev.lonja.core.crossref.StatementKind.INTERCHANGE;
import static dev.lonja.core.crossref.StatementKind.NEVER;
import static dev.lonja.core.crossref.StatementKind.REPLACES;
import static dev.lonja.core.crossref.StatementKind.SAME;
import static dev.lonja.core.crossref.StatementKind.STANDS_IN;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.part.PartId;
import dev.lonja.core.part.Properties;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** Paths of statements, by hand. */
class PathSearchTest {

  private final Parts parts = new Parts();

  @Test
  void sameAndInterchangeLeadBothWays() {
    parts.say("A", SAME, "B", "1").say("B", INTERCHANGE, "C", "0.9");
    assertThat(parts.best("A", "C")).isEqualTo("0.9 over A B C");
    assertThat(parts.best("C", "A")).isEqualTo("0.9 over C B A");
  }

  /** N replaces O: N may be supplied for O, never O for N. */
  @Test
  void aReplacementLeadsOneWay() {
    parts.say("N", REPLACES, "O", "0.98").say("NN", REPLACES, "N", "0.98");
    // 0.98 × 0.98
    assertThat(parts.best("O", "NN")).isEqualTo("0.9604 over O N NN");
    assertThat(parts.best("NN", "O")).isEqualTo("none");
    assertThat(parts.best("NN", "N")).isEqualTo("none");
  }

  @Test
  void aStopgapLeadsOneWayAndStaysOne() {
    parts.say("S", STANDS_IN, "A", "0.9").say("S", SAME, "T", "1");
    assertThat(PathSearch.best(parts.around("A")).get(parts.id("T")).isStopgap()).isTrue();
    assertThat(parts.best("T", "A")).isEqualTo("none");
  }

  /** A stopgap of 0.95 gives way to a path of 0.50 without one, but not to one of 0.4998. */
  @Test
  void aPathWithoutAStopgapCountsIfItIsTrustedAtAll() {
    parts.say("S", STANDS_IN, "A", "0.95");
    parts.say("A", INTERCHANGE, "B", "0.8").say("B", INTERCHANGE, "S", "0.625");
    assertThat(parts.best("A", "S")).isEqualTo("0.5 over A B S");

    Parts less = new Parts();
    less.say("S", STANDS_IN, "A", "0.95");
    less.say("A", INTERCHANGE, "B", "0.8").say("B", INTERCHANGE, "S", "0.6249");
    assertThat(less.best("A", "S")).isEqualTo("0.95 over A S");
  }

  /** 0.85⁴ = 0.52200625 is offered; 0.5 × 0.9999 is not. */
  @Test
  void fourHopsAndOneHalf() {
    parts.say("A", INTERCHANGE, "B", "0.85").say("B", INTERCHANGE, "C", "0.85");
    parts.say("C", INTERCHANGE, "D", "0.85").say("D", INTERCHANGE, "E", "0.85");
    parts.say("E", SAME, "F", "1");
    assertThat(parts.best("A", "E")).isEqualTo("0.52200625 over A B C D E");
    assertThat(parts.best("A", "F")).isEqualTo("none");

    parts.say("A", INTERCHANGE, "X", "0.5").say("X", INTERCHANGE, "Y", "0.9999");
    assertThat(parts.best("A", "X")).isEqualTo("0.5 over A X");
    assertThat(parts.best("A", "Y")).isEqualTo("none");
  }

  /** Equal confidence: fewer hops, then the smaller keys, then the smaller makes. */
  @Test
  void ties() {
    parts.say("A", INTERCHANGE, "M1", "0.9").say("M1", SAME, "Z", "1");
    parts.say("A", INTERCHANGE, "L2", "0.9").say("L2", SAME, "Z", "1");
    assertThat(parts.best("A", "Z")).isEqualTo("0.9 over A L2 Z");
    parts.say("A", INTERCHANGE, "Z", "0.9");
    assertThat(parts.best("A", "Z")).isEqualTo("0.9 over A Z");

    Parts makes = new Parts();
    PartId start = makes.id("A");
    PartId ravelin = makes.add("Ravelin", "Q-1", Optional.empty(), Properties.NONE).id();
    PartId nortrap = makes.add("Nortrap", "Q 1", Optional.empty(), Properties.NONE).id();
    makes.say("A", SAME, "Q-1", "0.9").say("A", SAME, "Q 1", "0.9");
    makes.say("Q-1", SAME, "Z", "1").say("Q 1", SAME, "Z", "1");
    Path path = PathSearch.best(makes.around("A")).get(makes.id("Z"));
    assertThat(path.parts()).containsExactly(start, nortrap, makes.id("Z"));
    assertThat(path.parts()).doesNotContain(ravelin);
  }

  /** A and C never go together, so C is no way on for A, though neither neighbours the other. */
  @Test
  void aVetoBetweenPartsThatAreNoNeighbours() {
    parts.say("A", INTERCHANGE, "B", "0.95").say("B", INTERCHANGE, "C", "0.95");
    parts.say("C", INTERCHANGE, "D", "0.95").say("A", NEVER, "C", "1");
    assertThat(parts.best("A", "C")).isEqualTo("none");
    assertThat(parts.best("A", "D")).isEqualTo("none");
    assertThat(parts.best("B", "D")).isEqualTo("0.9025 over B C D");
  }

  /**
   * The better way to D holds V, which E vetoes. To D it wins; to E only the way round V may lead.
   */
  @Test
  void aPathThatLosesMayWinFurtherOn() {
    parts.say("A", INTERCHANGE, "V", "0.99").say("V", INTERCHANGE, "D", "0.99");
    parts.say("A", INTERCHANGE, "W", "0.9").say("W", INTERCHANGE, "D", "0.9");
    parts.say("D", INTERCHANGE, "E", "0.9").say("E", NEVER, "V", "1");
    assertThat(parts.best("A", "D")).isEqualTo("0.9801 over A V D");
    // 0.9 × 0.9 × 0.9
    assertThat(parts.best("A", "E")).isEqualTo("0.729 over A W D E");
  }

  /** B2 is the same as B over a number nobody trusts, so the veto on B2 is a veto on B. */
  @Test
  void sameNumbersShareAVeto() {
    parts.say("A", INTERCHANGE, "B", "0.95").say("B", SAME, "B1", "0.1");
    parts.say("B1", SAME, "B2", "0.1").say("B2", NEVER, "A", "1");
    assertThat(parts.best("A", "B")).isEqualTo("none");
    assertThat(parts.around("A").vetoed().keySet())
        .containsExactlyInAnyOrder(parts.id("B"), parts.id("B1"), parts.id("B2"));
  }

  /** Within one class a veto parts those two only. */
  @Test
  void aVetoWithinOneClass() {
    parts.say("A", SAME, "B", "0.9").say("B", SAME, "C", "0.9").say("A", NEVER, "C", "1");
    assertThat(parts.best("A", "B")).isEqualTo("0.9 over A B");
    assertThat(parts.best("A", "C")).isEqualTo("none");
    assertThat(parts.best("B", "C")).isEqualTo("0.9 over B C");
    assertThat(parts.candidate("A", "C").orElseThrow().conflict()).isTrue();
  }

  /** Against every path there is, on two hundred small tangles. */
  @Test
  void agreesWithTryingEveryPath() {
    Random random = new Random(41_07);
    String[] confidences = {"1", "0.95", "0.9", "0.8", "0.7"};
    StatementKind[] kinds = StatementKind.values();
    for (int round = 0; round < 200; round++) {
      Parts tangle = new Parts();
      for (char name = 'A'; name <= 'G'; name++) {
        tangle.id(String.valueOf(name));
      }
      for (int i = 0; i < 13; i++) {
        int one = random.nextInt(7);
        int other = (one + 1 + random.nextInt(6)) % 7;
        tangle.say(
            String.valueOf((char) ('A' + one)),
            kinds[random.nextInt(10) < 2 ? 4 : random.nextInt(4)],
            String.valueOf((char) ('A' + other)),
            confidences[random.nextInt(confidences.length)]);
      }
      Neighbourhood place = tangle.around("A");
      assertThat(shown(PathSearch.best(place))).as("round " + round).isEqualTo(everyPath(place));
    }
  }

  private static Map<PartId, String> shown(Map<PartId, Path> paths) {
    Map<PartId, String> shown = new TreeMap<>();
    paths.forEach((part, path) -> shown.put(part, rank(path)));
    return shown;
  }

  /** The rank of a path, so that the smaller text is the better path. */
  private static String rank(Path path) {
    return (path.isStopgap() ? "s" : "f")
        + String.format("%.10f", 1 - path.confidence().value().doubleValue())
        + path.hops()
        + path.parts();
  }

  private static Map<PartId, String> everyPath(Neighbourhood place) {
    Map<PartId, String> best = new HashMap<>();
    walk(place, Path.at(place.start()), best);
    return new TreeMap<>(best);
  }

  private static void walk(Neighbourhood place, Path path, Map<PartId, String> best) {
    if (path.hops() == PathSearch.MOST_HOPS) {
      return;
    }
    for (Statement statement : place.statementsOf(path.end())) {
      PartId to = statement.other(path.end());
      boolean open = statement.leadsFrom(path.end()) && !path.parts().contains(to);
      if (open && mayGoTogether(place, path.parts(), to)) {
        Path further = path.over(statement);
        if (further.confidence().isAtLeast(PathSearch.LEAST)) {
          best.merge(to, rank(further), (a, b) -> a.compareTo(b) <= 0 ? a : b);
        }
        walk(place, further, best);
      }
    }
  }

  private static boolean mayGoTogether(Neighbourhood place, List<PartId> parts, PartId to) {
    return parts.stream().allMatch(part -> place.veto(part, to).isEmpty());
  }
}
