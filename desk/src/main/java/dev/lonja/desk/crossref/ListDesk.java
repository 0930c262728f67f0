package dev.lonja.desk.crossref;

import dev.lonja.core.crossref.Source;
import dev.lonja.core.statementlist.ListCheck;
import dev.lonja.core.text.SpreadsheetCell;
import dev.lonja.desk.audit.Trail;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.crossref.StatementList;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.UnaryOperator;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Takes lists of cross-references in, one at a time and in the background: checked first, then,
 * when a person says so, written whole or not at all. Gives them out again.
 */
@Service
@Allowed.ToSeeStore
public class ListDesk extends KeepersDesk {

  private static final Logger LOG = LoggerFactory.getLogger(ListDesk.class);

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;
  private final Trail trail;
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(
          task -> {
            Thread thread = new Thread(task, "lists");
            thread.setDaemon(true);
            return thread;
          });
  private Optional<ListJob> job = Optional.empty();

  public ListDesk(LonjaStore store, StoreClock clock, OnceOnly once, Trail trail) {
    this.store = store;
    this.clock = clock;
    this.once = once;
    this.trail = trail;
  }

  /** Where a list stands. */
  public enum State {
    CHECKING,
    /** Checked; a person decides. */
    READY,
    WRITING,
    DONE,
    CANCELLED,
    FAILED;

    public boolean isRunning() {
      return this == CHECKING || this == WRITING;
    }
  }

  /** Why a list came to nothing. */
  public enum Trouble {
    /** It could not be read to its end. */
    UNREADABLE,
    /** Something else was stated since it was checked. */
    STATED_MEANWHILE,
    /** The store could not write it; nothing was taken in. */
    NOT_WRITTEN
  }

  /** The list on its way, or the last one. */
  public record Progress(
      State state,
      String fileName,
      String actor,
      long rows,
      Optional<Trouble> trouble,
      Optional<ListCheck.Result> result) {}

  /** Why a list is not begun or not taken in. */
  public sealed interface Refused extends Refusal {}

  /** Another list is on its way. */
  public record Busy() implements Refused {}

  /** Its day is still to come. */
  public record SaidInFuture(LocalDate saidOn, LocalDate today) implements Refused {}

  /** Something else was stated since it was checked. */
  public record StatedMeanwhile() implements Refused {}

  /** No list without problems waits to be taken in. */
  public record NothingToApply() implements Refused {}

  @PreDestroy
  void close() {
    job.ifPresent(ListJob::cancel);
    worker.shutdown();
  }

  /** Empty if no list was taken in since the start. */
  public synchronized Optional<Progress> progress() {
    return job.map(
        j -> new Progress(j.state(), j.fileName(), j.actor(), j.rows(), j.trouble(), j.result()));
  }

  /** Begins to check a file, which is deleted when it is read or refused. */
  @Allowed.ToKeepStore
  public synchronized Outcome start(
      Sent sent, String fileName, Path file, Source source, LocalDate saidOn) {
    List<Refused> refusals = new ArrayList<>();
    if (saidOn.isAfter(clock.today())) {
      refusals.add(new SaidInFuture(saidOn, clock.today()));
    }
    if (job.filter(j -> j.state().isRunning()).isPresent()) {
      refusals.add(new Busy());
    }
    if (!refusals.isEmpty()) {
      delete(file);
      return new Outcome.Refused(refusals);
    }
    ListJob next = new ListJob(fileName, sent.actor());
    job = Optional.of(next);
    StatementList.Origin origin = new StatementList.Origin(source, saidOn);
    worker.execute(() -> check(next, file, origin));
    return Outcome.done();
  }

  private void check(ListJob running, Path file, StatementList.Origin origin) {
    try {
      store.read(
          session -> {
            String basis = session.statements().lastOfEach();
            running.checked(session.statements().list().check(file, origin, running::at), basis);
            return true;
          });
    } catch (CancellationException e) {
      running.end(State.CANCELLED);
    } catch (RuntimeException | Error e) {
      // whatever ends the work is said, and the next list can be begun
      LOG.error("a list of cross-references could not be checked", e);
      running.fail(Trouble.UNREADABLE);
    } finally {
      delete(file);
    }
  }

  private static void delete(Path file) {
    try {
      Files.deleteIfExists(file);
    } catch (IOException e) {
      throw new UncheckedIOException("cannot delete " + file, e);
    }
  }

  /** Begins to write the list that was checked. */
  @Allowed.ToKeepStore
  public synchronized Outcome apply(Sent sent) {
    Optional<ListJob> ready = job.filter(ListJob::begin);
    if (ready.isEmpty()) {
      return Outcome.refused(new NothingToApply());
    }
    worker.execute(() -> write(ready.get(), sent));
    return Outcome.done();
  }

  private void write(ListJob running, Sent sent) {
    ListCheck.Result checked = running.result().orElseThrow();
    try {
      Outcome outcome = once.run(sent, session -> write(session, sent, running, checked));
      if (outcome instanceof Outcome.Done) {
        running.end(State.DONE);
      } else {
        running.fail(Trouble.STATED_MEANWHILE);
      }
    } catch (CancellationException e) {
      running.end(State.CANCELLED);
    } catch (RuntimeException | Error e) {
      LOG.error("a list of cross-references could not be written", e);
      running.fail(Trouble.NOT_WRITTEN);
    }
  }

  private Outcome write(Session session, Sent sent, ListJob running, ListCheck.Result checked) {
    if (!session.statements().lastOfEach().equals(running.basis())) {
      return Outcome.refused(new StatedMeanwhile());
    }
    session.statements().list().write(checked, sent.actor(), clock.now(), running::at);
    return Outcome.done();
  }

  /** Stops the list on its way; nothing of it stays. */
  @Allowed.ToKeepStore
  public synchronized void cancel() {
    job.ifPresent(ListJob::cancel);
  }

  /**
   * Writes all standing statements as a list.
   *
   * @param forSpreadsheet whether cells that would be read as formulas are made text; a list for
   *     machines has them as they are
   */
  public void export(Trail.By by, Writer target, boolean forSpreadsheet) {
    trail.note(by, Matter.EXCHANGE, "cross-references", Deed.EXPORTED, Facts.NONE);
    store.read(
        session -> {
          session
              .statements()
              .list()
              .export(target, forSpreadsheet ? SpreadsheetCell::of : UnaryOperator.identity());
          return true;
        });
  }
}
