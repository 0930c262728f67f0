package dev.lonja.core.crossref;

import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What a substitute's box lacks that the original's brought, and what it brings that the other did
 * not.
 */
public record BoxDifference(List<BoxContent> lacks, List<BoxContent> brings) {

  private static final RubberTable NO_FLUID = new RubberTable(Map.of());

  public BoxDifference {
    lacks = List.copyOf(lacks);
    brings = List.copyOf(brings);
  }

  /**
   * What the box of {@code offered} lacks of the one of {@code asked}, and what it brings beside.
   */
  public static BoxDifference between(List<BoxContent> original, List<BoxContent> substitute) {
    return new BoxDifference(more(original, substitute), more(substitute, original));
  }

  /** True if neither box holds what the other does not. */
  public boolean isEmpty() {
    return lacks.isEmpty() && brings.isEmpty();
  }

  private static List<BoxContent> more(List<BoxContent> these, List<BoxContent> those) {
    List<BoxContent> more = new ArrayList<>();
    for (BoxContent content : these) {
      int other =
          those.stream()
              .filter(candidate -> areOneThing(content.part(), candidate.part()))
              .mapToInt(BoxContent::quantity)
              .sum();
      if (content.quantity() > other) {
        more.add(new BoxContent(content.part(), content.quantity() - other));
      }
    }
    return more;
  }

  /**
   * True if either may be taken for the other without a look: one part, or two whose recorded
   * properties agree in all that must.
   */
  public static boolean areOneThing(Part one, Part other) {
    if (one.id().equals(other.id())) {
      return true;
    }
    Comparison comparison = Comparison.of(one, other, Fitting.ANYWHERE, NO_FLUID);
    return !comparison.findings().isEmpty() && !comparison.forbids() && !comparison.asksForACheck();
  }
}
