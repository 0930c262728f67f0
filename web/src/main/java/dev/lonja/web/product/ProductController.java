package dev.lonja.web.product;

import dev.lonja.core.fluid.ProductId;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Fluids independent of their packs. */
@Controller
@RequestMapping("/oils/products")
class ProductController {

  private final ProductDesk desk;

  ProductController(ProductDesk desk) {
    this.desk = desk;
  }

  @GetMapping
  String all(Model model) {
    model.addAttribute("view", desk.all());
    return "products";
  }

  @GetMapping("/{id:[0-9]+}")
  String product(@PathVariable ProductId id, Model model) {
    model.addAttribute("view", desk.view(id).orElseThrow(ProductController::notFound));
    return "product";
  }

  @GetMapping("/new")
  String add(Model model) {
    return form(Optional.empty(), Map.of(), List.of(), model);
  }

  @GetMapping("/{id:[0-9]+}/edit")
  String edit(@PathVariable ProductId id, Model model) {
    return form(Optional.of(id), Map.of(), List.of(), model);
  }

  /** A look at what the form would mean; nothing is saved. */
  @PostMapping("/effect")
  String effect(@RequestParam Map<String, String> fields, Model model) {
    model.addAttribute("effect", desk.effect(fields));
    return "product-form :: effect";
  }

  @PostMapping("/new")
  String add(Sent sent, @RequestParam Map<String, String> fields, Model model) {
    return desk.add(sent, fields).next(problems -> form(Optional.empty(), fields, problems, model));
  }

  @PostMapping("/{id:[0-9]+}")
  String save(
      @PathVariable ProductId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam Map<String, String> fields,
      Model model) {
    return desk.save(sent, id, version, fields)
        .next(problems -> form(Optional.of(id), fields, problems, model));
  }

  private String form(
      Optional<ProductId> id, Map<String, String> typed, List<Problem> problems, Model model) {
    ProductView.Form form = desk.form(id, typed).orElseThrow(ProductController::notFound);
    model.addAttribute("view", form);
    model.addAttribute("effect", form.effect());
    model.addAttribute("problems", problems);
    return "product-form";
  }

  private static ResponseStatusException notFound() {
    return new ResponseStatusException(HttpStatus.NOT_FOUND);
  }
}
