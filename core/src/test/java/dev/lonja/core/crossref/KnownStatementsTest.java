package dev.lonja.core.crossref;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class KnownStatementsTest {

  /** A to D in a chain, with a veto on D from E, which is the same as F; and X to Z. */
  private final Parts parts =
      new Parts()
          .say("A", StatementKind.REPLACES, "B", "0.9")
          .say("B", StatementKind.SAME, "C", "0.9")
          .say("C", StatementKind.SAME, "D", "0.9")
          .say("D", StatementKind.NEVER, "E", "1")
          .say("E", StatementKind.SAME, "F", "0.9")
          .say("X", StatementKind.SAME, "Y", "0.9")
          .say("Y", StatementKind.SAME, "Z", "0.9");

  private int asked;

  private final StatementSource counted =
      new StatementSource() {
        @Override
        public List<Statement> standing(Collection<PartId> wanted) {
          asked++;
          return wanted.stream()
              .flatMap(part -> parts.standing(List.of(part)).stream())
              .distinct()
              .toList();
        }

        @Override
        public List<Part> parts(Collection<PartId> ids) {
          asked++;
          return parts.parts(ids);
        }
      };

  private final KnownStatements known = new KnownStatements(counted);

  @Test
  void whatWasReadAroundManyIsNotReadAgainAroundEach() {
    known.readAround(List.of(parts.id("B"), parts.id("X")));
    int before = asked;
    assertThat(paths("B")).isEqualTo(PathSearch.best(parts.around("B"))).isNotEmpty();
    assertThat(paths("X")).isEqualTo(PathSearch.best(parts.around("X"))).hasSize(2);
    // what is the same as the one that is forbidden is forbidden too
    assertThat(Neighbourhood.around(parts.id("B"), known).vetoed())
        .containsOnlyKeys(parts.id("E"), parts.id("F"));
    assertThat(asked).isEqualTo(before);
  }

  @Test
  void manyAskTheSourceNoOftenerThanTheOneThatReachesFarthest() {
    new KnownStatements(counted).readAround(List.of(parts.id("B")));
    int forOne = asked;
    asked = 0;
    known.readAround(List.of(parts.id("B"), parts.id("X"), parts.id("Z")));
    assertThat(asked).isEqualTo(forOne);
  }

  @Test
  void whatLiesElsewhereIsReadWhenItIsAskedFor() {
    known.readAround(List.of(parts.id("X")));
    assertThat(paths("B")).isEqualTo(PathSearch.best(parts.around("B")));
  }

  @Test
  void ofNoPartNothingIsRead() {
    known.readAround(List.of());
    assertThat(asked).isZero();
    assertThat(known.standing(List.of())).isEmpty();
  }

  private Map<PartId, Path> paths(String start) {
    return PathSearch.best(Neighbourhood.around(parts.id(start), known));
  }
}
