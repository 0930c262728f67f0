package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Source;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;

/** Lists of cross-references, in and out. */
@Controller
class ListController {

  private static final String PATH = "/find/lists";

  private final ListDesk desk;

  ListController(ListDesk desk) {
    this.desk = desk;
  }

  @GetMapping(PATH)
  String lists(Model model) {
    return page(Map.of(), List.of(), model);
  }

  @GetMapping(PATH + "/progress")
  @ResponseBody
  ListDesk.Progress progress() {
    return desk.progress();
  }

  @PostMapping(PATH)
  String start(
      Sent sent,
      @RequestParam MultipartFile file,
      @RequestParam String source,
      @RequestParam String saidOn,
      @RequestParam Map<String, String> typed,
      Model model)
      throws IOException {
    if (file.isEmpty()) {
      return page(typed, List.of(new Problem("file", "Choose a CSV file first.")), model);
    }
    Path copy = Files.createTempFile("lonja-list", ".csv");
    file.transferTo(copy);
    String name = Objects.requireNonNullElse(file.getOriginalFilename(), "list");
    Outcome outcome = desk.start(sent, name, copy, source, saidOn);
    return outcome.next(problems -> page(typed, problems, model));
  }

  @PostMapping(PATH + "/apply")
  String apply(Sent sent, Model model) {
    return desk.apply(sent).next(problems -> page(Map.of(), problems, model));
  }

  @PostMapping(PATH + "/cancel")
  String cancel(Model model) {
    return desk.cancel().next(problems -> page(Map.of(), problems, model));
  }

  @GetMapping(PATH + ".csv")
  void export(HttpServletResponse response) throws IOException {
    response.setContentType("text/csv");
    response.setCharacterEncoding(StandardCharsets.UTF_8.name());
    response.setHeader("Content-Disposition", "attachment; filename=\"cross-references.csv\"");
    desk.export(response.getWriter());
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", desk.view());
    model.addAttribute("sources", Source.values());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "lists";
  }
}
