package dev.lonja.store;

import dev.lonja.store.fleet.MeterDigests;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiFunction;
import java.util.function.Supplier;

/**
 * What was worked out from one store's data and is brought up to date by what writes touch. It is
 * never more than a quicker way to the same answer. Only this process writes while it holds the
 * store open.
 */
final class Memory {

  /** From so many writes that nobody looked at on, they are put together. */
  private static final int MOST_WRITES = 64;

  private final MeterDigests.Unkept digests = new MeterDigests.Unkept();
  private final Map<Class<?>, Kept<?>> byKind = new ConcurrentHashMap<>();
  private long writes;

  /** What a write touched, the {@code number}th since the store was opened. */
  private record Write(long number, Touched touched) {}

  /** A value, and what was written since it was worked out. */
  private static final class Kept<T> {
    private final long bornAfter;
    private final List<Write> since = new ArrayList<>();
    private Optional<T> value = Optional.empty();

    /**
     * @param bornAfter so many writes, which {@code since} does not know
     */
    Kept(long bornAfter) {
      this.bornAfter = bornAfter;
    }

    /** The value for a reader, who sees the first {@code seen} writes, and maybe more. */
    synchronized T read(long seen, Supplier<T> anew, BiFunction<T, Touched, T> rework) {
      T now = value.map(known -> reworked(known, Touched.NOTHING, rework)).orElseGet(anew);
      if (seen >= bornAfter) {
        value = Optional.of(now);
        synchronized (since) {
          since.removeIf(write -> write.number() <= seen);
        }
      }
      return now;
    }

    /**
     * The value as the writer sees it, who sees every write and also {@code own} unfinished one.
     */
    synchronized T within(Touched own, Supplier<T> anew, BiFunction<T, Touched, T> rework) {
      return value.map(known -> reworked(known, own, rework)).orElseGet(anew);
    }

    /** Working out anew what has not changed does no harm, so a write too many may count. */
    private T reworked(T known, Touched own, BiFunction<T, Touched, T> rework) {
      Touched touched;
      synchronized (since) {
        touched = since.stream().map(Write::touched).reduce(own, Touched::and);
      }
      return touched.isNothing() ? known : rework.apply(known, touched);
    }

    void written(Write write) {
      synchronized (since) {
        since.add(write);
        if (since.size() > MOST_WRITES) {
          Touched all = since.stream().map(Write::touched).reduce(Touched.NOTHING, Touched::and);
          since.clear();
          since.add(new Write(write.number(), all));
        }
      }
    }
  }

  MeterDigests.Unkept digests() {
    return digests;
  }

  /** To be called once a transaction that wrote has been committed. */
  synchronized void written(Touched touched) {
    writes++;
    if (!touched.isNothing()) {
      Write write = new Write(writes, touched);
      byKind.values().forEach(kept -> kept.written(write));
    }
  }

  /** How many writes there have been; what is read afterwards shows them all, and maybe more. */
  synchronized long writes() {
    return writes;
  }

  /** The value of a kind for one who reads and sees the first {@code seen} writes at least. */
  <T> T read(Class<T> kind, long seen, Supplier<T> anew, BiFunction<T, Touched, T> rework) {
    return kept(kind).read(seen, anew, rework);
  }

  /** The value of a kind for the one who writes; it is not remembered. */
  <T> T within(Class<T> kind, Touched own, Supplier<T> anew, BiFunction<T, Touched, T> rework) {
    return kept(kind).within(own, anew, rework);
  }

  /** Under the memory's lock, so that no write falls between the count and the list. */
  @SuppressWarnings("unchecked")
  private synchronized <T> Kept<T> kept(Class<T> kind) {
    return (Kept<T>) byKind.computeIfAbsent(kind, k -> new Kept<T>(writes));
  }
}
