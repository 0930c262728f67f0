package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Source;
import dev.lonja.desk.audit.Trail;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.crossref.ListDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.Principal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
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
  private static final RefusalWording REFUSALS =
      RefusalWording.of(ListDesk.Refused.class, ListView::problem);

  private final ListDesk desk;
  private final StoreClock clock;

  ListController(ListDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping(PATH)
  String lists(Model model) {
    return page(Map.of(), List.of(), model);
  }

  @GetMapping(PATH + "/progress")
  @ResponseBody
  ListView.Progress progress() {
    return ListView.progress(desk.progress());
  }

  @PostMapping(PATH)
  String start(
      Sent sent,
      @RequestParam MultipartFile file,
      @RequestParam String source,
      @RequestParam String saidOn,
      @RequestParam Map<String, String> fields,
      Model model)
      throws IOException {
    desk.admit();
    Typed typed = new Typed();
    if (file.isEmpty()) {
      typed.refuse("file", "Choose a CSV file first.");
    }
    Optional<Source> whose = typed.choice("source", "whose list it is", source, Source.class);
    Optional<LocalDate> day = typed.day("saidOn", saidOn);
    if (!typed.problems().isEmpty()) {
      return page(fields, typed.problems(), model);
    }
    Path copy = Files.createTempFile("lonja-list", ".csv");
    file.transferTo(copy);
    String name = Objects.requireNonNullElse(file.getOriginalFilename(), "list");
    return reply(desk.start(sent, name, copy, whose.orElseThrow(), day.orElseThrow()))
        .or(problems -> page(fields, problems, model));
  }

  private static Reply reply(Outcome outcome) {
    return Reply.to(outcome).onto(PATH).worded(REFUSALS);
  }

  @PostMapping(PATH + "/apply")
  String apply(Sent sent, Model model) {
    return reply(desk.apply(sent)).or(problems -> page(Map.of(), problems, model));
  }

  @PostMapping(PATH + "/cancel")
  String cancel() {
    desk.cancel();
    return "redirect:" + PATH;
  }

  @GetMapping(PATH + ".csv")
  void export(
      @RequestParam(defaultValue = "false") boolean spreadsheet,
      Principal person,
      HttpServletRequest request,
      HttpServletResponse response)
      throws IOException {
    response.setContentType("text/csv");
    response.setCharacterEncoding(StandardCharsets.UTF_8.name());
    String name = spreadsheet ? "cross-references-spreadsheet.csv" : "cross-references.csv";
    response.setHeader("Content-Disposition", "attachment; filename=\"" + name + "\"");
    desk.export(
        new Trail.By(person.getName(), request.getRemoteAddr()), response.getWriter(), spreadsheet);
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", ListView.of(desk.progress(), clock.today()));
    model.addAttribute("sources", Source.values());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "crossref/lists";
  }
}
