package dev.lonja.core.fleet;

/** How a compartment's level is read, or that it is not (rules §6). */
public sealed interface LevelMethod {

  /** What is read. */
  enum Kind {
    DIPSTICK("dipstick"),
    SIGHT_GLASS("sight glass"),
    GAUGE("gauge in a menu"),
    OVERFLOW("runs out at the fill hole"),
    MEASURED("nothing to read, measured");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** In which state of the machine a stick is read. */
  enum Warmth {
    COLD("cold"),
    HOT("hot");

    private final String words;

    Warmth(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** How far a stick goes in when it is read. */
  enum Seat {
    /** A stick without a thread. */
    PUSHED_IN("pushed right in"),
    SCREWED_IN("screwed in"),
    RESTING("resting on its thread");

    private final String words;

    Seat(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** How the machine stands. */
  enum Stance {
    UPRIGHT("the machine level and upright"),
    ON_STAND("the machine on its stand");

    private final String words;

    Stance(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** A stick with marks. */
  record Dipstick(Warmth warmth, Seat seat, Stance stance) implements LevelMethod {
    @Override
    public Kind kind() {
      return Kind.DIPSTICK;
    }
  }

  /** A window with marks. */
  record SightGlass() implements LevelMethod {
    @Override
    public Kind kind() {
      return Kind.SIGHT_GLASS;
    }
  }

  /**
   * A reading in the machine's own menu.
   *
   * @param celsius the fluid's temperature that it needs, whole °C from 0 to 150
   */
  record Gauge(int celsius) implements LevelMethod {
    public static final int COOLEST = 0;
    public static final int HOTTEST = 150;

    public Gauge {
      if (celsius < COOLEST || celsius > HOTTEST) {
        throw new IllegalArgumentException(
            "celsius is " + celsius + "; allowed is " + COOLEST + " to " + HOTTEST);
      }
    }

    @Override
    public Kind kind() {
      return Kind.GAUGE;
    }
  }

  /** Full when it runs out at the fill hole. */
  record Overflow() implements LevelMethod {
    @Override
    public Kind kind() {
      return Kind.OVERFLOW;
    }
  }

  /** There is nothing to read; the exact amount goes in. */
  record Measured() implements LevelMethod {
    @Override
    public Kind kind() {
      return Kind.MEASURED;
    }
  }

  Kind kind();

  /** True if all is poured at once: there is nothing to be read after the first part of it. */
  default boolean takesAllAtOnce() {
    return this instanceof Overflow || this instanceof Measured;
  }

  /** True for a stick whose marks are for a hot fluid, on which a cold fill stands lower. */
  default boolean isMarkedHot() {
    return this instanceof Dipstick stick && stick.warmth() == Warmth.HOT;
  }
}
