package dev.lonja.desk.crossref;

import dev.lonja.core.statementlist.ListCheck;
import java.util.Optional;
import java.util.concurrent.CancellationException;

/** A list on its way in: how far it is, and what came of it. Many threads may look at it. */
final class ListJob {

  private final String fileName;
  private final String actor;
  private ListDesk.State state = ListDesk.State.CHECKING;
  private long rows;
  private boolean stop;
  private Optional<ListCheck.Result> result = Optional.empty();
  private String basis = "";
  private Optional<ListDesk.Trouble> trouble = Optional.empty();

  ListJob(String fileName, String actor) {
    this.fileName = fileName;
    this.actor = actor;
  }

  String fileName() {
    return fileName;
  }

  String actor() {
    return actor;
  }

  synchronized ListDesk.State state() {
    return state;
  }

  synchronized long rows() {
    return rows;
  }

  synchronized Optional<ListCheck.Result> result() {
    return result;
  }

  synchronized Optional<ListDesk.Trouble> trouble() {
    return trouble;
  }

  /** What the store's statements were when the list was held against them. */
  synchronized String basis() {
    return basis;
  }

  /** Notes how far it is; throws if it is to stop. */
  synchronized void at(long done) {
    rows = done;
    if (stop) {
      throw new CancellationException();
    }
  }

  synchronized void checked(ListCheck.Result found, String on) {
    result = Optional.of(found);
    basis = on;
    state = ListDesk.State.READY;
  }

  /** Begins to write; false if it is not waiting for that. */
  synchronized boolean begin() {
    boolean may = state == ListDesk.State.READY && result.orElseThrow().problemCount() == 0;
    if (may) {
      state = ListDesk.State.WRITING;
      rows = 0;
    }
    return may;
  }

  /** Written, or ended without trouble by whoever cancelled it. */
  synchronized void end(ListDesk.State how) {
    state = how;
    if (how != ListDesk.State.DONE) {
      result = Optional.empty();
    }
  }

  synchronized void fail(ListDesk.Trouble why) {
    end(ListDesk.State.FAILED);
    trouble = Optional.of(why);
  }

  /** Asks it to stop at its next step, or drops it if it only waits. */
  synchronized void cancel() {
    stop = true;
    if (state == ListDesk.State.READY) {
      end(ListDesk.State.CANCELLED);
    }
  }
}
