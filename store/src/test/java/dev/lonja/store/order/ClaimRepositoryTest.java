package dev.lonja.store.order;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.order.Claim;
import dev.lonja.core.order.ClaimId;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.ExampleStore;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Of ten filters two came dented. */
class ClaimRepositoryTest {

  private static final LocalDate TODAY = TenFilters.TODAY;

  @RegisterExtension final ExampleStore store = new ExampleStore();
  private OrderId order;
  private OrderLineId line;

  @BeforeEach
  void tenFilters() {
    order = TenFilters.sent(store);
    line = store.read(s -> s.orders().byId(order).orElseThrow().lines().get(0).id());
  }

  private ClaimId claim(Claim.Kind kind, long pieces) {
    return store.write(
        s ->
            s.claims()
                .add(
                    line,
                    kind,
                    Quantity.pieces(pieces),
                    "dented",
                    TODAY,
                    "buyer",
                    Instant.parse("2027-03-15T09:00:00Z")));
  }

  private List<Claim> open() {
    return store.read(s -> s.claims().open().stream().map(ClaimRepository.OfOrder::claim).toList());
  }

  /** Settled once it is settled for good, and is still one of the order's. */
  @Test
  void aClaimIsOpenUntilItIsSettled() {
    ClaimId dented = claim(Claim.Kind.DAMAGED, 2);
    ClaimId lacking = claim(Claim.Kind.SHORT, 1);
    assertThat(open()).extracting(Claim::id).containsExactly(dented, lacking);
    assertThat(open().get(0))
        .isEqualTo(
            new Claim(
                dented,
                line,
                Claim.Kind.DAMAGED,
                Quantity.pieces(2),
                "dented",
                TODAY,
                Optional.empty()));
    Claim.End credited = new Claim.End(Claim.Outcome.CREDITED, TODAY.plusDays(3), "credit note 7");
    Claim.End dropped = new Claim.End(Claim.Outcome.DROPPED, TODAY.plusDays(4), "no");
    assertThat(store.<Boolean>write(s -> s.claims().settle(dented, credited))).isTrue();
    assertThat(store.<Boolean>write(s -> s.claims().settle(dented, dropped))).isFalse();
    assertThat(open()).extracting(Claim::id).containsExactly(lacking);
    assertThat(store.<List<ClaimRepository.OfOrder>>read(s -> s.claims().of(order)))
        .extracting(one -> one.claim().end())
        .containsExactly(Optional.of(credited), Optional.empty());
    assertThat(store.<List<ClaimRepository.OfOrder>>read(s -> s.claims().of(new OrderId(99))))
        .isEmpty();
  }
}
