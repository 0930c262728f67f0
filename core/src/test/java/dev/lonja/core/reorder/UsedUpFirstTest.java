package dev.lonja.core.reorder;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class UsedUpFirstTest {

  private static final ItemId A = new ItemId(1);
  private static final ItemId B = new ItemId(2);
  private static final ItemId X = new ItemId(8);
  private static final ItemId Y = new ItemId(9);

  private static UsedUpFirst.Lacking lacking(ItemId item, int pieces, ItemId... others) {
    return new UsedUpFirst.Lacking(item, Quantity.pieces(pieces), List.of(others));
  }

  /** X can spare 5: A, which runs short first, takes the 3 that it lacks, and B the other 2. */
  @Test
  void eachPieceIsGivenOnce() {
    UsedUpFirst first =
        UsedUpFirst.of(List.of(lacking(A, 3, X), lacking(B, 4, X)), Map.of(X, Quantity.pieces(5)));
    assertThat(first.before(A)).containsExactly(Map.entry(X, Quantity.pieces(3)));
    assertThat(first.before(B)).containsExactly(Map.entry(X, Quantity.pieces(2)));
  }

  /** The best first: all 2 of X, then one of Y; nothing is taken that is not lacking. */
  @Test
  void theBestIsUsedUpBeforeTheNext() {
    UsedUpFirst first =
        UsedUpFirst.of(
            List.of(lacking(A, 3, X, Y)), Map.of(X, Quantity.pieces(2), Y, Quantity.pieces(9)));
    assertThat(first.before(A))
        .containsExactly(Map.entry(X, Quantity.pieces(2)), Map.entry(Y, Quantity.pieces(1)));
  }

  @Test
  void whatCanSpareNothingGivesNothing() {
    UsedUpFirst first = UsedUpFirst.of(List.of(lacking(A, 3, X, Y)), Map.of(X, Quantity.pieces(0)));
    assertThat(first.byShort()).isEmpty();
    assertThat(first.before(A)).isEmpty();
  }
}
