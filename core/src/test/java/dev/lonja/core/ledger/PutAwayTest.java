package dev.lonja.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.ledger.PutAway.Part;
import dev.lonja.core.ledger.PutAway.Shelf;
import dev.lonja.core.ledger.PutAway.Why;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Quantity;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Twelve come. The home is on place 50 of the walk and is to hold 12, of which 8 are there. */
class PutAwayTest {

  private static final Quantity TWELVE = Quantity.pieces(12);
  private static final Shelf HOME = shelf(1, 50, Why.HOME, 8, 12);

  private static Shelf shelf(long bin, int walk, Why why, int there, int most) {
    return new Shelf(
        new BinId(bin),
        walk,
        why,
        Quantity.pieces(there),
        most == 0 ? Optional.empty() : Optional.of(Quantity.pieces(most)));
  }

  private static Part part(long bin, int pieces, Why why) {
    return new Part(new BinId(bin), Quantity.pieces(pieces), why);
  }

  /** Four go home, five into the bin that is to hold six and has one, the rest where three lie. */
  @Test
  void itsOwnBinsAreFilledFirst() {
    assertThat(
            PutAway.of(
                TWELVE,
                List.of(
                    shelf(9, 51, Why.EMPTY, 0, 0),
                    shelf(3, 10, Why.SAME, 3, 0),
                    shelf(2, 90, Why.KEPT, 1, 6),
                    HOME)))
        .containsExactly(part(1, 4, Why.HOME), part(2, 5, Why.KEPT), part(3, 3, Why.SAME));
  }

  /** Of the empty ones that on place 53 is nearer than that on place 46. */
  @Test
  void theRestGoesIntoTheNearestEmptyBin() {
    assertThat(
            PutAway.of(
                TWELVE,
                List.of(HOME, shelf(7, 46, Why.EMPTY, 0, 0), shelf(8, 53, Why.EMPTY, 0, 0))))
        .containsExactly(part(1, 4, Why.HOME), part(8, 8, Why.EMPTY));
  }

  @Test
  void withoutRoomAnywhereItGoesHomeAllTheSame() {
    assertThat(PutAway.of(TWELVE, List.of(HOME)))
        .containsExactly(part(1, 4, Why.HOME), part(1, 8, Why.NO_ROOM));
    assertThat(PutAway.of(TWELVE, List.of(shelf(1, 50, Why.HOME, 20, 12))))
        .containsExactly(part(1, 12, Why.NO_ROOM));
  }

  @Test
  void aHomeOfWhichNothingIsSaidTakesAll() {
    assertThat(PutAway.of(TWELVE, List.of(shelf(1, 50, Why.HOME, 30, 0))))
        .containsExactly(part(1, 12, Why.HOME));
  }
}
