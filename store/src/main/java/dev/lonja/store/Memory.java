package dev.lonja.store;

import dev.lonja.store.fleet.MeterDigests;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Supplier;

/**
 * What was worked out from one store's data and holds until the data change. It is never more than
 * a quicker way to the same answer.
 */
final class Memory {

  private final Path log;
  private final AtomicLong writes = new AtomicLong();
  private final Map<Class<?>, Remembered> byKind = new ConcurrentHashMap<>();
  private final MeterDigests.Memory meters = new MeterDigests.Memory();

  /**
   * A state of the data: how often this process wrote, and the write-ahead log, in which writes of
   * others show.
   */
  record State(long writes, long logSize, FileTime logChanged) {}

  private record Remembered(State state, Object key, Object value) {}

  Memory(Path database) {
    this.log = database.resolveSibling(database.getFileName() + "-wal");
  }

  MeterDigests.Memory meters() {
    return meters;
  }

  /** To be called once a transaction that wrote has been committed. */
  void written() {
    writes.incrementAndGet();
  }

  /** The present state; what is read afterwards is of this state or a later one. */
  State state() {
    try {
      return Files.exists(log)
          ? new State(writes.get(), Files.size(log), Files.getLastModifiedTime(log))
          : new State(writes.get(), 0, FileTime.fromMillis(0));
    } catch (IOException e) {
      throw new UncheckedIOException("cannot look at " + log, e);
    }
  }

  /** The value of this kind for a key in a state; worked out if it is not remembered. */
  <T> T remembered(State state, Class<T> kind, Object key, Supplier<T> work) {
    Remembered known = byKind.get(kind);
    if (known != null && known.state().equals(state) && known.key().equals(key)) {
      return kind.cast(known.value());
    }
    T value = work.get();
    byKind.put(kind, new Remembered(state, key, value));
    return value;
  }
}
