package dev.lonja.desk.person;

/** A desk at which the buyer and the storekeeper write, whoever may read there. */
public abstract class BuyersDesk {

  /** Refuses whoever may not write here, before anything they typed is read. */
  @Allowed.ToBuy
  public void admit() {
    // the grant answers
  }
}
