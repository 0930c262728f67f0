package dev.lonja.desk.person;

import dev.lonja.desk.audit.Trail;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.audit.AuditLine;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Who did what, when and from where, for those who look after it. */
@Service
@Allowed.ToAudit
public class AuditDesk {

  private static final int PAGE = 100;

  private final LonjaStore store;
  private final Trail trail;

  public AuditDesk(LonjaStore store, Trail trail) {
    this.store = store;
    this.trail = trail;
  }

  /**
   * Lines of the audit, the latest first.
   *
   * @param people their names, by the number under which they stand in the lines
   * @param older by which number the next older ones are asked for; empty if these are all
   */
  public record Lines(List<AuditLine> lines, Map<String, String> people, Optional<Long> older) {}

  public Lines lines(AuditLog.Filter filter, Optional<Long> olderThan) {
    List<AuditLog.Numbered> found =
        store.read(session -> session.audit().search(filter, olderThan, PAGE + 1));
    List<AuditLog.Numbered> shown = found.stream().limit(PAGE).toList();
    return new Lines(
        shown.stream().map(AuditLog.Numbered::line).toList(),
        store.read(
            session ->
                session.people().all().stream()
                    .collect(
                        Collectors.toMap(
                            person -> person.id().toString(), person -> person.name().text()))),
        found.size() > PAGE ? Optional.of(shown.get(shown.size() - 1).number()) : Optional.empty());
  }

  /** Hands on every line, the oldest first; that they were taken out is noted. */
  public void each(Trail.By by, AuditLog.Filter filter, Consumer<AuditLine> taken) {
    trail.note(by, Matter.EXCHANGE, "audit", Deed.EXPORTED, Facts.NONE);
    store.read(
        session -> {
          session.audit().each(filter, taken);
          return true;
        });
  }
}
