package dev.lonja.desk.variant;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Adding a class of units within a transaction, by itself or with its first unit. */
public final class ClassAdding {

  private final Session session;
  private final StoreClock clock;
  private final Sent sent;

  public ClassAdding(Session session, StoreClock clock, Sent sent) {
    this.session = session;
    this.clock = clock;
    this.sent = sent;
  }

  /** What speaks against it. */
  public List<ClassDesk.Refused> refusals(String code, Optional<String> like) {
    List<ClassDesk.Refused> refusals = new ArrayList<>();
    if (session.classes().byCode(code).isPresent()) {
      refusals.add(new ClassDesk.CodeTaken(code));
    }
    if (like.isPresent() && like.flatMap(session.classes()::byCode).isEmpty()) {
      refusals.add(new ClassDesk.NoOriginal());
    }
    return refusals;
  }

  /**
   * Adds it, against which nothing speaks; answers its number.
   *
   * @param like the code of one whose months and drawing it takes; empty for even months
   */
  public long add(String code, String name, Optional<String> like) {
    long id = session.classes().add(code, name);
    like.flatMap(session.classes()::byCode)
        .ifPresent(
            from -> {
              session.classes().edit(id, 0, name, from.outline());
              session.classes().setMonths(id, 1, from.months());
            });
    Facts after = Facts.of("code", code).with("name", name);
    session
        .audit()
        .add(sent.line(clock.now(), Matter.UNIT_CLASS, id, Deed.ADDED, Facts.NONE, after));
    return id;
  }
}
