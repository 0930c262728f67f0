package dev.lonja.desk.place;

import dev.lonja.core.place.BinId;
import dev.lonja.desk.request.Refusal;

/** Why bins are not arranged so. */
public sealed interface ArrangeRefusal extends Refusal {

  /** The bins are not those that there are. */
  record OtherBins() implements ArrangeRefusal {}

  /** An address is empty, too long or has a blank in it. */
  record BadAddress(BinId bin, String address, int most) implements ArrangeRefusal {}

  /** Two bins would have one address. */
  record SameAddress(BinId bin, String address) implements ArrangeRefusal {}

  /** Something is at home there, lies there or lay there, so that the book names it. */
  record Used(BinId bin, String address) implements ArrangeRefusal {}
}
