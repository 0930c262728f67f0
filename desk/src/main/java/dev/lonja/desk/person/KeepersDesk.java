package dev.lonja.desk.person;

/** A desk at which the storekeeper writes, whoever may read there. */
public abstract class KeepersDesk {

  /** Refuses whoever may not write here, before anything they typed is read. */
  @Allowed.ToKeepStore
  public void admit() {
    // the grant answers
  }
}
