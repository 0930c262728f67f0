package dev.lonja.web.study;

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

/** Studies of the least set of products. */
@Controller
@RequestMapping("/oils/studies")
class StudyController {

  private final StudyDesk desk;

  StudyController(StudyDesk desk) {
    this.desk = desk;
  }

  @GetMapping
  String all(Model model) {
    return list(Map.of(), List.of(), model);
  }

  @PostMapping
  String make(Sent sent, @RequestParam Map<String, String> fields, Model model) {
    return desk.make(sent, fields).next(problems -> list(fields, problems, model));
  }

  @GetMapping("/{id}")
  String study(@PathVariable long id, Model model) {
    return page(id, List.of(), model);
  }

  @PostMapping("/{id}/apply")
  String apply(@PathVariable long id, Sent sent, Model model) {
    return desk.apply(sent, id).next(problems -> page(id, problems, model));
  }

  @PostMapping("/{id}/take-back")
  String takeBack(@PathVariable long id, Sent sent, Model model) {
    return desk.takeBack(sent, id).next(problems -> page(id, problems, model));
  }

  private String list(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", desk.all());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "studies";
  }

  private String page(long id, List<Problem> problems, Model model) {
    model.addAttribute(
        "view", desk.view(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("problems", problems);
    return "study";
  }
}
