package dev.lonja.app;

import dev.lonja.store.StoreFault;
import java.nio.file.Path;
import java.util.List;

/** What is there cannot be worked on. */
public final class UnsoundStore extends RuntimeException {

  private final transient List<StoreFault> faults;
  private final transient Path database;

  public UnsoundStore(List<StoreFault> faults, Path database) {
    super(database + " is not sound: " + faults);
    this.faults = faults;
    this.database = database;
  }

  public List<StoreFault> faults() {
    return faults;
  }

  public Path database() {
    return database;
  }
}
