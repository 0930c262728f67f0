package dev.lonja.web.product;

import dev.lonja.core.fluid.NewProduct;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fluid.Hazards;
import dev.lonja.desk.fluid.ProductDesk;
import dev.lonja.desk.fluid.ProductSheet;
import dev.lonja.desk.fluid.SpecDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
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

  private static final RefusalWording REFUSED =
      RefusalWording.of(
          ProductDesk.NameTaken.class,
          taken -> new Problem("name", "There is " + taken.by().display() + " already."));

  private final ProductDesk desk;
  private final SpecDesk specs;
  private final StoreClock clock;

  ProductController(ProductDesk desk, SpecDesk specs, StoreClock clock) {
    this.desk = desk;
    this.specs = specs;
    this.clock = clock;
  }

  @GetMapping
  String all(Model model) {
    model.addAttribute("view", ProductWording.all(desk.all()));
    return "product/products";
  }

  @GetMapping("/{id:[0-9]+}")
  String product(@PathVariable ProductId id, Model model) {
    model.addAttribute(
        "view",
        desk.file(id)
            .map(new ProductWording(clock.today())::view)
            .orElseThrow(ProductController::notFound));
    return "product/product";
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
    desk.admit();
    model.addAttribute("effect", effect(fields));
    return "product/form :: effect";
  }

  private ProductView.Effect effect(Map<String, String> fields) {
    Typed typed = new Typed();
    return read(fields, typed)
        .map(product -> ProductWording.effect(desk.effect(product)))
        .orElseGet(
            () ->
                new ProductView.Effect(
                    typed.problems().stream().map(Problem::text).toList(),
                    "",
                    List.of(),
                    "",
                    List.of()));
  }

  private Optional<NewProduct> read(Map<String, String> fields, Typed typed) {
    List<String> hazards = desk.hazards().stream().map(Hazards.Text::code).toList();
    return new ProductEntry(fields, specs.reference(), typed).product(hazards);
  }

  @PostMapping("/new")
  String add(Sent sent, @RequestParam Map<String, String> fields, Model model) {
    desk.admit();
    Typed typed = new Typed();
    return read(fields, typed)
        .map(product -> next(desk.add(sent, product), Optional.empty(), fields, model))
        .orElseGet(() -> form(Optional.empty(), fields, typed.problems(), model));
  }

  @PostMapping("/{id:[0-9]+}")
  String save(
      @PathVariable ProductId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    return read(fields, typed)
        .map(product -> next(desk.save(sent, id, version, product), Optional.of(id), fields, model))
        .orElseGet(() -> form(Optional.of(id), fields, typed.problems(), model));
  }

  private String next(
      Outcome outcome, Optional<ProductId> id, Map<String, String> fields, Model model) {
    return Reply.to(outcome)
        .onto(saved -> "/oils/products/" + saved)
        .worded(REFUSED)
        .or(problems -> form(id, fields, problems, model));
  }

  private String form(
      Optional<ProductId> id, Map<String, String> typed, List<Problem> problems, Model model) {
    Optional<Product> product = id.flatMap(desk::onFile);
    if (id.isPresent() && product.isEmpty()) {
      throw notFound();
    }
    Map<String, String> fields =
        typed.isEmpty() ? product.map(ProductSheet::of).orElse(Map.of()) : typed;
    model.addAttribute("view", ProductWording.form(product, fields, desk.hazards()));
    model.addAttribute("effect", fields.isEmpty() ? ProductView.Effect.NOTHING : effect(fields));
    model.addAttribute("problems", problems);
    return "product/form";
  }

  private static ResponseStatusException notFound() {
    return new ResponseStatusException(HttpStatus.NOT_FOUND);
  }
}
