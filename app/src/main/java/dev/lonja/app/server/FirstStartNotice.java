package dev.lonja.app.server;

import dev.lonja.desk.person.FirstStartDesk;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Prints the code for the set-up page where a store has no administrator yet. */
@Component
class FirstStartNotice {

  private static final Logger LOG = LoggerFactory.getLogger(FirstStartNotice.class);

  private final FirstStartDesk desk;

  FirstStartNotice(FirstStartDesk desk) {
    this.desk = desk;
  }

  @EventListener(ApplicationReadyEvent.class)
  void announce() {
    if (desk.isNeeded()) {
      LOG.info(
          "This store has no administrator yet. The code for its set-up page is {}", desk.code());
    }
  }
}
