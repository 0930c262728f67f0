package dev.lonja.web.backup;

import dev.lonja.desk.audit.Trail;
import dev.lonja.desk.backup.BackupDesk;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.file.Path;
import java.security.Principal;
import java.util.List;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.server.ResponseStatusException;

/** The copies of the store: seen, made, taken out. */
@Controller
class BackupController {

  private static final String PATH = "/setup/backups";

  private final BackupDesk desk;
  private final BackupWording wording;
  private final RefusalWording refused;

  BackupController(BackupDesk desk, StoreClock clock) {
    this.desk = desk;
    this.wording = new BackupWording(clock);
    this.refused =
        RefusalWording.of(
            BackupDesk.NotKept.class, not -> Problem.ofWhole(wording.words(not.failure())));
  }

  @GetMapping(PATH)
  String all(Model model) {
    return page(List.of(), model);
  }

  @PostMapping(PATH)
  String make(Sent sent, Model model) {
    return Reply.to(desk.make(sent))
        .onto(PATH)
        .worded(refused)
        .or(problems -> page(problems, model));
  }

  @GetMapping(PATH + "/{name}")
  ResponseEntity<Resource> takeOut(
      @PathVariable String name, Principal person, HttpServletRequest request) {
    Path file =
        desk.takeOut(new Trail.By(person.getName(), request.getRemoteAddr()), name)
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("application/vnd.sqlite3"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + file.getFileName() + "\"")
        .body(new FileSystemResource(file));
  }

  private String page(List<Problem> problems, Model model) {
    model.addAttribute("view", wording.view(desk.standing(), PATH));
    model.addAttribute("problems", problems);
    return "backup/backups";
  }
}
