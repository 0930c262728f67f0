package dev.lonja.web.request;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.part.PartId;
import dev.lonja.core.person.PersonId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.service.ReceiptId;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TrayId;
import java.util.List;
import java.util.function.Function;
import org.springframework.context.annotation.Configuration;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** What controllers may ask for beside what Spring knows. */
@Configuration
class RequestConfiguration implements WebMvcConfigurer {

  @Override
  public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
    resolvers.add(new SentResolver());
  }

  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    registry.addInterceptor(new LaterAnswers());
  }

  /** An id that is left empty is none; any other text that is no number above 0 is refused. */
  @Override
  public void addFormatters(FormatterRegistry registry) {
    id(registry, BinId.class, BinId::valueOf);
    id(registry, CompartmentId.class, CompartmentId::valueOf);
    id(registry, ItemId.class, ItemId::valueOf);
    id(registry, LotId.class, LotId::valueOf);
    id(registry, MeterId.class, MeterId::valueOf);
    id(registry, PartId.class, PartId::valueOf);
    id(registry, PersonId.class, PersonId::valueOf);
    id(registry, PositionId.class, PositionId::valueOf);
    id(registry, ProductId.class, ProductId::valueOf);
    id(registry, TaskId.class, TaskId::valueOf);
    id(registry, ReceiptId.class, ReceiptId::valueOf);
    id(registry, TrayId.class, TrayId::valueOf);
    id(registry, UnitId.class, UnitId::valueOf);
  }

  private static <T> void id(FormatterRegistry registry, Class<T> type, Function<String, T> read) {
    registry.addConverter(
        String.class, type, text -> text.isBlank() ? null : read.apply(text.strip()));
  }
}
