package dev.lonja.core.mixture;

import dev.lonja.core.quantity.Temperature;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The share of concentrate that a circuit wants.
 *
 * @param share by volume
 * @param cause what sets it
 * @param protectsTo its freeze point, where that is promised
 */
public record WantedShare(BigDecimal share, Cause cause, Optional<Temperature> protectsTo) {

  /** What sets a share. */
  public enum Cause {
    /** The circuit's book. */
    BOOK,
    /** The store's own share for coolant. */
    STORE,
    /** The store's coldest month, less five degrees. */
    FROST,
    /** Corrosion, which comes before frost. */
    CORROSION
  }

  /** What decides a share: a coolant's is never below 0.33 unless its book states such a share. */
  public enum Kind {
    COOLANT,
    SCREEN_WASH
  }

  /**
   * The share for a circuit; empty where no mixture of the product is known to reach what is
   * wanted.
   *
   * @param stated by its book
   * @param table of the product that goes in, if one is known
   */
  public static Optional<WantedShare> of(
      Kind kind, Protection stated, MixPolicy policy, Optional<FreezeTable> table) {
    if (stated.downTo().isPresent() && reaching(stated.downTo(), table).isEmpty()) {
      return Optional.empty();
    }
    Optional<WantedShare> wanted =
        stated.isSaid()
            ? stronger(
                said(stated.share(), Cause.BOOK),
                said(reaching(stated.downTo(), table), Cause.BOOK))
            : ofStore(kind, policy, table);
    boolean mayBeThin = kind == Kind.SCREEN_WASH || stated.share().isPresent();
    return wanted
        .map(share -> mayBeThin ? share : share.atLeast(MixPolicy.LEAST_COOLANT))
        .map(share -> share.protecting(table));
  }

  private static Optional<WantedShare> ofStore(
      Kind kind, MixPolicy policy, Optional<FreezeTable> table) {
    Optional<WantedShare> frost = said(reaching(policy.frost(), table), Cause.FROST);
    return kind == Kind.SCREEN_WASH
        ? frost
        : stronger(said(Optional.of(policy.coolantShare()), Cause.STORE), frost);
  }

  private static Optional<BigDecimal> reaching(
      Optional<Temperature> wanted, Optional<FreezeTable> table) {
    return wanted.flatMap(frost -> table.flatMap(t -> t.shareFor(frost)));
  }

  private static Optional<WantedShare> said(Optional<BigDecimal> share, Cause cause) {
    return share.map(part -> new WantedShare(part, cause, Optional.empty()));
  }

  private static Optional<WantedShare> stronger(Optional<WantedShare> a, Optional<WantedShare> b) {
    return Stream.of(a, b)
        .flatMap(Optional::stream)
        .reduce((one, other) -> other.share().compareTo(one.share()) > 0 ? other : one);
  }

  private WantedShare atLeast(BigDecimal least) {
    return share.compareTo(least) >= 0
        ? this
        : new WantedShare(least, Cause.CORROSION, Optional.empty());
  }

  private WantedShare protecting(Optional<FreezeTable> table) {
    return new WantedShare(share, cause, table.flatMap(t -> t.freezesAt(share)));
  }
}
