package dev.lonja.web.frame;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.LonjaStore;
import jakarta.servlet.http.HttpSession;
import java.util.UUID;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Gives every page its frame. */
@ControllerAdvice
class FrameAdvice {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OpenTrayLoader openTrays;

  FrameAdvice(LonjaStore store, StoreClock clock, OpenTrayLoader openTrays) {
    this.store = store;
    this.clock = clock;
    this.openTrays = openTrays;
  }

  @ModelAttribute("frame")
  FrameView frame(Authentication person, HttpSession httpSession) {
    boolean workshop = has(person, "ROLE_WORKSHOP");
    boolean keepsStore = has(person, "ROLE_STOREKEEPER") || has(person, "ROLE_ADMINISTRATOR");
    return store.read(
        session ->
            new FrameView(
                session.settings().storeName(),
                Words.whole(clock.today()),
                clock.isPinned(),
                person == null ? "" : person.getName(),
                keepsStore,
                person != null && !workshop,
                keepsStore || workshop,
                workshop ? Rail.forWorkshop() : Rail.forStore(),
                OpenTrayChoice.of(httpSession)
                    .filter(id -> keepsStore)
                    .flatMap(id -> openTrays.load(session, id)),
                UUID.randomUUID().toString()));
  }

  private static boolean has(Authentication person, String role) {
    return person != null
        && person.getAuthorities().stream().anyMatch(a -> role.equals(a.getAuthority()));
  }
}
