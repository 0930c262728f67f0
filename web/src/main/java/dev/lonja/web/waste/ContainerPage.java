package dev.lonja.web.waste;

import dev.lonja.core.waste.ContainerId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.waste.CertificateDesk;
import dev.lonja.desk.waste.WasteDesk;
import dev.lonja.web.request.Problem;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.springframework.web.server.ResponseStatusException;

/** The page of a container, which several forms come back to. */
@Component
class ContainerPage {

  private final WasteDesk desk;
  private final CertificateDesk certificates;
  private final StoreClock clock;

  ContainerPage(WasteDesk desk, CertificateDesk certificates, StoreClock clock) {
    this.desk = desk;
    this.certificates = certificates;
    this.clock = clock;
  }

  /**
   * Fills it.
   *
   * @return the name of its template
   */
  String fill(ContainerId id, Map<String, String> typed, List<Problem> problems, Model model) {
    WasteDesk.Opened opened =
        desk.container(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    model.addAttribute("view", new WasteWording(clock).one(opened, certificates.of(id)));
    model.addAttribute("kinds", WasteWording.kinds());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "waste/container";
  }
}
