package dev.lonja.web.buy;

import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderId;
import dev.lonja.desk.order.OrderDesk;
import dev.lonja.desk.setting.StoreDesk;
import dev.lonja.web.document.CsvAnswer;
import dev.lonja.web.document.PdfRenderer;
import dev.lonja.web.ubl.UblOrder;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.server.ResponseStatusException;

/** An order on paper, as a table, as text, as JSON and as UBL. */
@Controller
class OrderPaperController {

  private static final String ONE = "/buy/orders/{id:[0-9]{1,18}}";

  private final OrderDesk desk;
  private final StoreDesk store;
  private final PdfRenderer paper;

  OrderPaperController(OrderDesk desk, StoreDesk store, PdfRenderer paper) {
    this.desk = desk;
    this.store = store;
    this.paper = paper;
  }

  @GetMapping(ONE + ".pdf")
  ResponseEntity<byte[]> onPaper(@PathVariable OrderId id) {
    return paper.answer("order", "order-" + id + ".pdf", Map.of("order", paper(id)));
  }

  @GetMapping(ONE + ".csv")
  ResponseEntity<byte[]> asTable(@PathVariable OrderId id) {
    CsvAnswer csv =
        new CsvAnswer(
            "line",
            "their_number",
            "make",
            "number",
            "description",
            "quantity",
            "unit",
            "price",
            "cost",
            "currency",
            "wanted_on");
    OrderPaper order = paper(id);
    for (OrderPaper.Line line : order.lines()) {
      csv.row(
          line.id(),
          line.theirs(),
          line.make(),
          line.number(),
          line.description(),
          line.quantity(),
          line.unit(),
          line.price(),
          line.cost(),
          order.currency(),
          line.wantedOn());
    }
    return csv.as("order-" + id + ".csv");
  }

  @GetMapping(ONE + ".txt")
  ResponseEntity<byte[]> asText(@PathVariable OrderId id) {
    String text = String.join("\n", paper(id).text()) + "\n";
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "plain", StandardCharsets.UTF_8))
        .body(text.getBytes(StandardCharsets.UTF_8));
  }

  @GetMapping(ONE + ".json")
  ResponseEntity<OrderPaper> asJson(@PathVariable OrderId id) {
    return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).body(paper(id));
  }

  @GetMapping(ONE + ".xml")
  ResponseEntity<byte[]> asUbl(@PathVariable OrderId id) {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_XML)
        .header(
            "Content-Disposition",
            ContentDisposition.attachment().filename("order-" + id + ".xml").build().toString())
        .body(new UblOrder(order(id), store.sign().name(), desk.currency()).document());
  }

  private OrderPaper paper(OrderId id) {
    return OrderPaper.of(order(id), store.sign().name(), desk.currency());
  }

  private Order order(OrderId id) {
    return desk.file(id)
        .map(OrderDesk.File::order)
        .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }
}
