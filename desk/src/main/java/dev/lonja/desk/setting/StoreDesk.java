package dev.lonja.desk.setting;

import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import org.springframework.stereotype.Service;

/** Says which store this is; that stands on the door. */
@Service
@Allowed.ToEveryone
public class StoreDesk {

  private final LonjaStore store;

  public StoreDesk(LonjaStore store) {
    this.store = store;
  }

  public String name() {
    return store.read(session -> session.settings().storeName());
  }
}
