package dev.lonja.core.policy;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.UnitId;

/** Who a choice is made for. */
public sealed interface Holder {

  /** How wide a holder is, the widest first. */
  enum Level {
    STORE("the store's policy"),
    UNIT_CLASS("its class's policy"),
    UNIT("this machine's policy"),
    COMPARTMENT("the compartment's policy"),
    POSITION("the position's policy");

    private final String words;

    Level(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  Level level();

  /** Everything that has no choice of its own. */
  record Store() implements Holder {
    @Override
    public Level level() {
      return Level.STORE;
    }
  }

  /** All machines of a class. */
  record OfClass(long classId) implements Holder {
    @Override
    public Level level() {
      return Level.UNIT_CLASS;
    }
  }

  /** One machine. */
  record OfUnit(UnitId unitId) implements Holder {
    @Override
    public Level level() {
      return Level.UNIT;
    }
  }

  /** A compartment of every machine of its variant. */
  record OfCompartment(CompartmentId compartmentId) implements Holder {
    @Override
    public Level level() {
      return Level.COMPARTMENT;
    }
  }

  /** A position of every machine of its variant. */
  record OfPosition(PositionId positionId) implements Holder {
    @Override
    public Level level() {
      return Level.POSITION;
    }
  }

  /** The whole store. */
  Holder STORE = new Store();
}
