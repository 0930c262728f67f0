package dev.lonja.core.crossref;

import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Every part that sources offer for another, each with its verdict and all reasons, best first; and
 * the parts that are forbidden.
 *
 * @param itself the part that is asked for, judged for the place alone
 */
public record Candidates(Part asked, Candidate itself, List<Candidate> others) {

  /**
   * What the store has of a part.
   *
   * @param free pieces, none for a part that is not stocked
   * @param price the lowest known
   */
  public record Shelf(Quantity free, Optional<UnitPrice> price) {
    static final Shelf BARE = new Shelf(Quantity.pieces(0), Optional.empty());
  }

  /** Says what the store has of parts; one that is absent from the answer is not stocked. */
  public interface Shelves {
    Map<PartId, Shelf> of(Collection<PartId> parts);
  }

  public Candidates {
    others = List.copyOf(others);
  }

  /**
   * @param place what the position demands, or {@link Fitting#ANYWHERE}
   * @param shelves asked once, for the parts that turn out to be candidates
   */
  public static Candidates of(
      Neighbourhood around, Fitting place, RubberTable rubbers, Shelves shelves) {
    Part asked = around.part(around.start());
    List<Candidate> others = new ArrayList<>();
    Map<PartId, Statement> vetoed = around.vetoed();
    Map<PartId, Path> claims = PathSearch.bestWithoutVetoes(around);
    vetoed.forEach(
        (id, veto) -> {
          Part part = around.part(id);
          Optional<Path> claim = Optional.ofNullable(claims.get(id));
          others.add(
              new Candidate(
                  part,
                  Verdict.DOES_NOT_FIT,
                  claim,
                  Optional.of(veto),
                  Comparison.of(asked, part, place, rubbers),
                  claim.isPresent() || around.areOnePart(asked.id(), id)));
        });
    PathSearch.best(around)
        .forEach(
            (id, path) -> {
              Part part = around.part(id);
              others.add(Candidate.offered(part, path, Comparison.of(asked, part, place, rubbers)));
            });
    others.sort(order(shelves.of(others.stream().map(c -> c.part().id()).toList())));
    Candidate itself =
        Candidate.offered(asked, Path.at(asked.id()), Comparison.of(asked, asked, place, rubbers));
    return new Candidates(asked, itself, others);
  }

  private static Comparator<Candidate> order(Map<PartId, Shelf> shelves) {
    Comparator<Candidate> byStock =
        Comparator.comparing(c -> shelf(shelves, c).free().millionths(), Comparator.reverseOrder());
    Comparator<Candidate> byPrice =
        Comparator.comparing(
            c ->
                shelf(shelves, c)
                    .price()
                    .map(UnitPrice::tenThousandthsOfMinor)
                    .orElse(Long.MAX_VALUE));
    return Comparator.comparing(Candidate::verdict)
        .thenComparing(Candidates::confidence, Comparator.reverseOrder())
        .thenComparing(byStock)
        .thenComparing(byPrice)
        .thenComparing(c -> c.part().key())
        .thenComparing(c -> c.part().make())
        .thenComparing(c -> c.part().id());
  }

  private static BigDecimal confidence(Candidate candidate) {
    return candidate.path().map(path -> path.confidence().value()).orElse(BigDecimal.ZERO);
  }

  private static Shelf shelf(Map<PartId, Shelf> shelves, Candidate candidate) {
    return shelves.getOrDefault(candidate.part().id(), Shelf.BARE);
  }
}
