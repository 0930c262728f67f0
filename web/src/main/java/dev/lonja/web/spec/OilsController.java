package dev.lonja.web.spec;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.desk.fluid.MatrixDesk;
import java.util.Arrays;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The matrix of products and specs. */
@Controller
class OilsController {

  private final MatrixDesk desk;

  OilsController(MatrixDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/oils")
  String matrix(
      @RequestParam(defaultValue = "") String kind,
      @RequestParam(name = "class", defaultValue = "") String unitClass,
      @RequestParam(defaultValue = "false") boolean shelf,
      @RequestParam Optional<CompartmentId> spec,
      @RequestParam Optional<ProductId> product,
      Model model) {
    Optional<FluidKind> asked =
        Arrays.stream(FluidKind.values()).filter(k -> k.name().equalsIgnoreCase(kind)).findFirst();
    MatrixDesk.Query query = new MatrixDesk.Query(asked, unitClass, shelf, spec, product);
    model.addAttribute("view", MatrixView.of(desk.matrix(query), query));
    return "spec/oils";
  }
}
