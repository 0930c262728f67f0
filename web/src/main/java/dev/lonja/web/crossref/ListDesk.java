package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Source;
import dev.lonja.core.statementlist.ListCheck;
import dev.lonja.core.statementlist.ListProblem;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.crossref.StatementList;
import dev.lonja.web.request.Typed;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Takes lists of cross-references in, one at a time and in the background: checked first, then,
 * when a person says so, written whole or not at all. Gives them out again.
 */
@Service
@Allowed.ToSeeStore
public class ListDesk {

  private static final Logger LOG = LoggerFactory.getLogger(ListDesk.class);

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(
          task -> {
            Thread thread = new Thread(task, "lists");
            thread.setDaemon(true);
            return thread;
          });
  private Optional<ListJob> job = Optional.empty();

  public ListDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * The page.
   *
   * @param state of the list on its way, in a word for the template; "none" if there is none
   */
  record View(
      String state,
      String fileName,
      String actor,
      long rows,
      String trouble,
      Optional<Summary> summary,
      String today) {}

  /** What a check found; the lists are cut where the counts go on. */
  record Summary(
      long rows,
      long fresh,
      long newParts,
      long known,
      long doubles,
      long problemCount,
      List<String> problems,
      long contradictionCount,
      List<String> contradictions) {}

  /** How far it is, for the page to ask every second. */
  public record Progress(String state, long rows, boolean running) {}

  @PreDestroy
  void close() {
    job.ifPresent(ListJob::cancel);
    worker.shutdown();
  }

  synchronized View view() {
    return job.map(
            j ->
                new View(
                    j.state().name().toLowerCase(Locale.ROOT),
                    j.fileName(),
                    j.actor(),
                    j.rows(),
                    j.trouble(),
                    j.result().map(ListDesk::summary),
                    clock.today().toString()))
        .orElseGet(
            () -> new View("none", "", "", 0, "", Optional.empty(), clock.today().toString()));
  }

  public synchronized Progress progress() {
    return job.map(
            j ->
                new Progress(
                    j.state().name().toLowerCase(Locale.ROOT), j.rows(), j.state().isRunning()))
        .orElse(new Progress("none", 0, false));
  }

  private static Summary summary(ListCheck.Result result) {
    return new Summary(
        result.rows(),
        result.fresh().size(),
        result.newParts().size(),
        result.known(),
        result.doubles(),
        result.problemCount(),
        result.problems().stream().map(ListProblem::display).toList(),
        result.contradictionCount(),
        result.contradictions().stream()
            .map(
                c ->
                    "line "
                        + c.line()
                        + ": "
                        + c.row().make()
                        + " "
                        + c.row().number()
                        + " "
                        + c.row().kind().words()
                        + " "
                        + c.row().otherMake()
                        + " "
                        + c.row().otherNumber()
                        + ", but “"
                        + c.against().words()
                        + "” stands between the two")
            .toList());
  }

  /**
   * Begins to check a file, which is deleted when it is read.
   *
   * @param source as the form has it
   */
  @Allowed.ToKeepStore
  public synchronized Outcome start(
      Sent sent, String fileName, Path file, String source, String saidOn) {
    Typed typed = new Typed();
    Optional<Source> whose =
        Arrays.stream(Source.values())
            .filter(s -> s.name().toLowerCase(Locale.ROOT).equals(source))
            .findFirst();
    if (whose.isEmpty()) {
      typed.refuse("source", "Choose whose list it is.");
    }
    Optional<LocalDate> day = typed.dayUpTo("saidOn", saidOn, clock.today());
    if (job.filter(j -> j.state().isRunning()).isPresent()) {
      typed.refuse("file", "Another list is on its way. Wait for it, or cancel it.");
    }
    if (!typed.problems().isEmpty()) {
      delete(file);
      return new Outcome.Refused(typed.problems());
    }
    ListJob next = new ListJob(fileName, sent.actor());
    job = Optional.of(next);
    StatementList.Origin origin = new StatementList.Origin(whose.orElseThrow(), day.orElseThrow());
    worker.execute(() -> check(next, file, origin));
    return new Outcome.Done("/find/lists");
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
      running.end(ListJob.State.CANCELLED, "");
    } catch (RuntimeException e) {
      LOG.error("a list of cross-references could not be checked", e);
      running.end(ListJob.State.FAILED, "The list could not be read to its end.");
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
      return Outcome.refused(Problem.ofWhole("No list without problems waits to be taken in."));
    }
    worker.execute(() -> write(ready.get(), sent));
    return new Outcome.Done("/find/lists");
  }

  private void write(ListJob running, Sent sent) {
    ListCheck.Result checked = running.result().orElseThrow();
    try {
      Outcome outcome =
          once.run(
              sent,
              session -> {
                if (!session.statements().lastOfEach().equals(running.basis())) {
                  return Outcome.refused(
                      Problem.ofWhole("Something else was stated meanwhile; check it again."));
                }
                session.statements().list().write(checked, sent.actor(), clock.now(), running::at);
                return new Outcome.Done("/find/lists");
              });
      boolean done = outcome instanceof Outcome.Done;
      running.end(
          done ? ListJob.State.DONE : ListJob.State.FAILED,
          done ? "" : ((Outcome.Refused) outcome).problems().get(0).text());
    } catch (CancellationException e) {
      running.end(ListJob.State.CANCELLED, "");
    } catch (RuntimeException e) {
      LOG.error("a list of cross-references could not be written", e);
      running.end(ListJob.State.FAILED, "The store could not write it; nothing was taken in.");
    }
  }

  /** Stops the list on its way; nothing of it stays. */
  @Allowed.ToKeepStore
  public synchronized Outcome cancel() {
    job.ifPresent(ListJob::cancel);
    return new Outcome.Done("/find/lists");
  }

  /** Writes all standing statements as a list. */
  public void export(Writer target) {
    store.read(
        session -> {
          session.statements().list().export(target);
          return true;
        });
  }
}
