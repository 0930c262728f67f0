package dev.lonja.web.waste;

import dev.lonja.core.text.Lengths;
import dev.lonja.core.waste.CertificateId;
import dev.lonja.core.waste.CollectionId;
import dev.lonja.core.waste.ContainerId;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.waste.CertificateDesk;
import dev.lonja.web.receipt.PaperWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;

/** What proves where the waste of a container went. */
@Controller
@RequestMapping("/stores/waste/{id:[0-9]{1,18}}")
class CertificateController {

  private final CertificateDesk desk;
  private final ContainerPage page;

  CertificateController(CertificateDesk desk, ContainerPage page) {
    this.desk = desk;
    this.page = page;
  }

  @GetMapping("/certificates/{certificate:[0-9]{1,18}}")
  ResponseEntity<byte[]> content(
      @PathVariable ContainerId id, @PathVariable CertificateId certificate) {
    return PaperWording.answer(
        desk.content(id, certificate)
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)),
        "certificate-" + certificate);
  }

  @PostMapping("/collections/{collection:[0-9]{1,18}}/certificates")
  String keep(
      @PathVariable ContainerId id,
      @PathVariable CollectionId collection,
      Sent sent,
      @RequestParam("file") MultipartFile file,
      Model model)
      throws IOException {
    desk.admit();
    Typed typed = new Typed();
    if (file.isEmpty()) {
      typed.refuse("file", "Choose the photo or the document.");
    }
    byte[] bytes = file.getBytes();
    return next(
        id, typed.all(() -> desk.keep(sent, id, collection, bytes)), typed, Map.of(), model);
  }

  @PostMapping("/certificates/{certificate:[0-9]{1,18}}/withdraw")
  String withdraw(
      @PathVariable ContainerId id,
      @PathVariable CertificateId certificate,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    return next(
        id,
        typed
            .text("why", "The reason", fields.getOrDefault("why", ""), Lengths.REASON)
            .map(why -> desk.withdraw(sent, id, certificate, why)),
        typed,
        fields,
        model);
  }

  private String next(
      ContainerId id,
      Optional<Outcome> done,
      Typed typed,
      Map<String, String> fields,
      Model model) {
    return done.map(
            outcome ->
                Reply.to(outcome)
                    .onto("/stores/waste/" + id)
                    .worded(PaperWording.REFUSED)
                    .or(problems -> page.fill(id, fields, problems, model)))
        .orElseGet(() -> page.fill(id, fields, typed.problems(), model));
  }
}
