package dev.lonja.core.find;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.crossref.Parts;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.find.NumberSearch.Kind;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartKey;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What a number finds, and as what; the index answers as it is told to. */
class NumberSearchTest {

  private final Parts parts = new Parts();
  private List<Part> exact = List.of();
  private List<Part> beginning = List.of();
  private List<Part> near = List.of();
  private List<Part> edited = List.of();

  private List<Part> numbers(String... numbers) {
    return List.of(numbers).stream().map(number -> parts.part(parts.id(number))).toList();
  }

  private String find(String number) {
    Map<Kind, List<Part>> found =
        NumberSearch.run(PartKey.of(number).orElseThrow(), new Index(), parts);
    return new TreeMap<>(found)
        .entrySet().stream()
            .map(
                kind ->
                    kind.getKey()
                        + kind.getValue().stream()
                            .map(Part::number)
                            .collect(Collectors.joining(" ", " ", "")))
            .collect(Collectors.joining(", "));
  }

  /** D replaces C, C replaces A; B replaces A too and comes before C, being of one generation. */
  @Test
  void successorsComeNearestFirst() {
    parts
        .say("C3", StatementKind.REPLACES, "A1", "0.9")
        .say("D4", StatementKind.REPLACES, "C3", "0.9")
        .say("B2", StatementKind.REPLACES, "A1", "0.9")
        .say("E5", StatementKind.INTERCHANGE, "A1", "0.9");
    exact = numbers("A1");
    assertThat(find("A1")).isEqualTo("EXACT A1, SUCCESSOR B2 C3 D4");
  }

  /** A replaces B and B replaces A: the search ends, and A is not its own successor. */
  @Test
  void aCircleOfReplacementsEnds() {
    parts
        .say("B2", StatementKind.REPLACES, "A1", "0.9")
        .say("A1", StatementKind.REPLACES, "B2", "0.9");
    exact = numbers("A1");
    assertThat(find("A1")).isEqualTo("EXACT A1, SUCCESSOR B2");
  }

  @Test
  void whatIsFoundOneWayIsNotFoundAgainAnother() {
    exact = numbers("PL4107");
    beginning = numbers("PL4107", "PL4107B");
    near = numbers("PL4107", "PL41O7");
    edited = numbers("PL4107B", "PL4108", "PL41O7");
    assertThat(find("PL4107"))
        .isEqualTo("EXACT PL4107, PREFIX PL4107B, NEAR PL41O7, ONE_EDIT PL4108");
  }

  /** A beginning says something from three characters on, an edit from five on. */
  @Test
  void shortNumbersAreLookedForNarrowly() {
    beginning = numbers("PL4B");
    edited = numbers("PX4B");
    assertThat(find("PL")).isEmpty();
    assertThat(find("PL4")).isEqualTo("PREFIX PL4B");
    assertThat(find("PL4B9")).isEqualTo("PREFIX PL4B, ONE_EDIT PX4B");
  }

  @Test
  void anUnknownNumberHasNoSuccessors() {
    parts.say("B2", StatementKind.REPLACES, "A1", "0.9");
    assertThat(find("Z9Z")).isEmpty();
  }

  /** Answers alike to whatever is looked for. */
  private final class Index implements NumberIndex {
    @Override
    public List<Part> byKey(PartKey key, int most) {
      return exact;
    }

    @Override
    public List<Part> byKeyPrefix(PartKey prefix, int most) {
      return beginning;
    }

    @Override
    public List<Part> byNearKey(PartKey key, int most) {
      return near;
    }

    @Override
    public List<Part> oneEditFrom(PartKey key, int leastLength, int most) {
      return edited;
    }
  }
}
