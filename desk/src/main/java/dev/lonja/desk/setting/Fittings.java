package dev.lonja.desk.setting;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;

/** Putting up bins and taking on suppliers within a transaction, wherever they are first named. */
public final class Fittings {

  private final Session session;
  private final StoreClock clock;
  private final Sent sent;

  public Fittings(Session session, StoreClock clock, Sent sent) {
    this.session = session;
    this.clock = clock;
    this.sent = sent;
  }

  /** Puts up a bin, which is not there yet, at the end of the walk. */
  public void putUp(String address) {
    session.items().addBin(address);
    audit(Matter.BIN, address, Facts.NONE);
  }

  /**
   * Takes on a supplier who is not known yet.
   *
   * @param leadDays the lead time that is quoted, in calendar days
   */
  public void takeOn(String name, int leadDays) {
    session.suppliers().add(name, leadDays);
    audit(Matter.SUPPLIER, name, Facts.of("lead_days", leadDays));
  }

  private void audit(Matter matter, String subject, Facts after) {
    session.audit().add(sent.line(clock.now(), matter, subject, Deed.ADDED, Facts.NONE, after));
  }
}
