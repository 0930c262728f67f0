package dev.lonja.web.crossref;

import dev.lonja.core.statementlist.ListCheck;
import java.util.Optional;
import java.util.concurrent.CancellationException;

/** A list on its way in: how far it is, and what came of it. Many threads may look at it. */
final class ListJob {

  /** Where a list stands. */
  enum State {
    CHECKING,
    /** Checked; a person decides. */
    READY,
    WRITING,
    DONE,
    CANCELLED,
    FAILED;

    boolean isRunning() {
      return this == CHECKING || this == WRITING;
    }
  }

  private final String fileName;
  private final String actor;
  private State state = State.CHECKING;
  private long rows;
  private boolean stop;
  private Optional<ListCheck.Result> result = Optional.empty();
  private String basis = "";
  private String trouble = "";

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

  synchronized State state() {
    return state;
  }

  synchronized long rows() {
    return rows;
  }

  synchronized Optional<ListCheck.Result> result() {
    return result;
  }

  synchronized String trouble() {
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
    state = State.READY;
  }

  /** Begins to write; false if it is not waiting for that. */
  synchronized boolean begin() {
    boolean may = state == State.READY && result.orElseThrow().problemCount() == 0;
    if (may) {
      state = State.WRITING;
      rows = 0;
    }
    return may;
  }

  synchronized void end(State how, String why) {
    state = how;
    trouble = why;
    if (how != State.DONE) {
      result = Optional.empty();
    }
  }

  /** Asks it to stop at its next step, or drops it if it only waits. */
  synchronized void cancel() {
    stop = true;
    if (state == State.READY) {
      end(State.CANCELLED, "");
    }
  }
}
