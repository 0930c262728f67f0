package dev.lonja.web.buy;

import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.SupplierAnswer;
import dev.lonja.desk.order.FollowUpDesk;
import dev.lonja.desk.order.OrderDesk;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Reply;
import dev.lonja.web.ubl.UblAnswer;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;

/** Takes in what a supplier says of an order as a document. */
@Controller
@RequestMapping("/buy/orders/{id:[0-9]{1,18}}/answer")
class AnswerController {

  private final OrderDesk desk;
  private final FollowUpDesk followUp;

  AnswerController(OrderDesk desk, FollowUpDesk followUp) {
    this.desk = desk;
    this.followUp = followUp;
  }

  @GetMapping
  String form(@PathVariable OrderId id, Model model) {
    return page(id, "", model);
  }

  @PostMapping
  String takeIn(
      @PathVariable OrderId id,
      Sent sent,
      @RequestParam(required = false) MultipartFile document,
      Model model)
      throws IOException {
    followUp.admit();
    OrderDesk.File file = file(id);
    if (document == null || document.isEmpty()) {
      return page(id, "Choose the document first.", model);
    }
    SupplierAnswer answer;
    try {
      answer = new UblAnswer(file.order()).read(document.getBytes());
    } catch (UblAnswer.Unusable e) {
      return page(id, e.getMessage(), model);
    }
    return Reply.to(followUp.takeIn(sent, answer))
        .onto("/buy/orders/" + id)
        .worded(OrderRefusals.ALL)
        .or(problems -> page(id, problems.get(0).text(), model));
  }

  private OrderDesk.File file(OrderId id) {
    return desk.file(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }

  private String page(OrderId id, String problem, Model model) {
    model.addAttribute("id", file(id).order().id());
    model.addAttribute("supplier", file(id).order().supplier().name());
    model.addAttribute("problem", problem);
    return "buy/answer";
  }
}
