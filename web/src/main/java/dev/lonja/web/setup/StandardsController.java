package dev.lonja.web.setup;

import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The public reference data. */
@Controller
@RequestMapping("/setup/standards")
class StandardsController {

  private final StandardsDesk desk;

  StandardsController(StandardsDesk desk) {
    this.desk = desk;
  }

  @GetMapping
  String files(Model model) {
    model.addAttribute("files", desk.files());
    return "standards";
  }

  @GetMapping("/{name}")
  String file(@PathVariable String name, Model model) {
    return page(name, Map.of(), List.of(), model);
  }

  @PostMapping("/{name}")
  String put(
      @PathVariable String name, Sent sent, @RequestParam Map<String, String> fields, Model model) {
    return desk.put(sent, name, fields).next(problems -> page(name, fields, problems, model));
  }

  @PostMapping("/{name}/remove")
  String remove(@PathVariable String name, Sent sent, @RequestParam String key, Model model) {
    return desk.remove(sent, name, key).next(problems -> page(name, Map.of(), problems, model));
  }

  private String page(String name, Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute(
        "view",
        desk.view(name).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "standard";
  }
}
