package dev.lonja.desk.fluid;

import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.fluid.SignOff;

/** Signatures for fluids that a spec does not allow without a word. */
public final class SignOffs {

  private static final int LONGEST_VERDICT = 500;

  private SignOffs() {}

  /** A verdict in words, as the one who signs reads it, cut to what is kept. */
  public static String shortened(String verdict) {
    return verdict.length() <= LONGEST_VERDICT
        ? verdict
        : verdict.substring(0, LONGEST_VERDICT - 1) + "…";
  }

  /** Adds a signature, which stands in the audit too; answers its number. */
  public static long add(Session session, Sent sent, SignOff signOff) {
    long id = session.pours().add(signOff);
    session
        .audit()
        .add(
            sent.line(
                signOff.at(),
                Matter.UNIT,
                signOff.unitId(),
                Deed.SIGNED,
                Facts.NONE,
                Facts.of("sign_off_id", id)
                    .with("item_id", signOff.itemId())
                    .with("signed_by", signOff.signedBy())
                    .with("reason", signOff.why())));
    return id;
  }
}
