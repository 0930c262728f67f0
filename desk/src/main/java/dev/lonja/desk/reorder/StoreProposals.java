package dev.lonja.desk.reorder;

import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.reorder.UsedUpFirst;
import dev.lonja.desk.crossref.StandIns;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is proposed of every thing of a store. Of a part that is due, what else fits everywhere it
 * goes and is free beyond its own level is used up first; of a fluid that comes too late, what else
 * may go in is named.
 */
public final class StoreProposals {

  private static final Comparator<Proposal> FIRST_TO_RUN_SHORT =
      Comparator.comparing(
              (Proposal proposal) -> proposal.subject().cover().shortOn().orElse(LocalDate.MAX))
          .thenComparing(proposal -> proposal.subject().lead().number())
          .thenComparing(proposal -> proposal.subject().lead().id());

  private final Proposals proposals;
  private final StandIns standIns;
  private final Map<ItemId, Subject> parts = new HashMap<>();

  private StoreProposals(Session session, FleetPicture fleet, Proposals proposals) {
    this.proposals = proposals;
    this.standIns = new StandIns(session, fleet);
  }

  /** By subject, in their order, what is proposed of it; empty for what nobody supplies. */
  public static Map<Subject, Optional<Proposal>> of(
      Session session, FleetPicture fleet, List<Subject> subjects, Proposals proposals) {
    PackMixes mixes = new PackMixes(proposals.supplies(), fleet.today());
    Map<Subject, Optional<Proposal>> all =
        new StoreProposals(session, fleet, proposals).all(subjects);
    OtherFluids fluids = new OtherFluids(session, fleet);
    all.replaceAll(
        (subject, proposal) ->
            proposal
                .map(one -> one.isDue() ? mixes.of(one) : one)
                .map(one -> one.reordering().isLate() ? one.withFluids(fluids.of(subject)) : one));
    return all;
  }

  private Map<Subject, Optional<Proposal>> all(List<Subject> subjects) {
    Map<Subject, Optional<Proposal>> all = new LinkedHashMap<>();
    List<Proposal> due = new ArrayList<>();
    for (Subject subject : subjects) {
      Optional<Proposal> proposal = proposals.of(subject);
      all.put(subject, proposal);
      if (subject.free().measure() == Measure.PIECES) {
        parts.put(subject.lead().id(), subject);
        proposal.filter(Proposal::isDue).ifPresent(due::add);
      }
    }
    due.sort(FIRST_TO_RUN_SHORT);
    Map<ItemId, List<StandIns.StandIn>> offered =
        standIns.of(due.stream().map(StoreProposals::lead).toList());
    UsedUpFirst first = UsedUpFirst.of(lacking(due, offered), spare(offered));
    for (Proposal proposal : due) {
      List<Proposal.Other> others = others(proposal, offered.get(lead(proposal).id()), first);
      if (!others.isEmpty()) {
        all.put(proposal.subject(), with(proposal, others));
      }
    }
    return all;
  }

  private static Item lead(Proposal proposal) {
    return proposal.subject().lead();
  }

  private List<UsedUpFirst.Lacking> lacking(
      List<Proposal> due, Map<ItemId, List<StandIns.StandIn>> offered) {
    return due.stream()
        .map(
            proposal ->
                new UsedUpFirst.Lacking(
                    lead(proposal).id(),
                    proposal.reordering().needed(),
                    offered.get(lead(proposal).id()).stream()
                        .filter(one -> one.verdict() == Verdict.FITS)
                        .map(one -> one.item().id())
                        .toList()))
        .toList();
  }

  /** What is free above its own level; of what nobody supplies, above all that it is itself for. */
  private Map<ItemId, Quantity> spare(Map<ItemId, List<StandIns.StandIn>> offered) {
    Map<ItemId, Quantity> spare = new HashMap<>();
    offered.values().stream()
        .flatMap(List::stream)
        .map(one -> one.item().id())
        .filter(parts::containsKey)
        .forEach(item -> spare.computeIfAbsent(item, id -> spare(parts.get(id))));
    return spare;
  }

  private Quantity spare(Subject subject) {
    Quantity own =
        proposals
            .of(subject)
            .map(proposal -> proposal.reordering().level())
            .orElseGet(() -> subject.usedBy(LocalDate.MAX));
    return subject.free().minus(own).atLeastZero();
  }

  /** What is used up first; and of a part that comes too late, what may do after a look. */
  private List<Proposal.Other> others(
      Proposal proposal, List<StandIns.StandIn> offered, UsedUpFirst first) {
    Map<ItemId, Quantity> used = first.before(lead(proposal).id());
    List<Proposal.Other> others = new ArrayList<>();
    for (StandIns.StandIn one : offered) {
      ItemId id = one.item().id();
      Optional<Subject> subject = Optional.ofNullable(parts.get(id));
      if (used.containsKey(id)) {
        others.add(new Proposal.Other(one.item(), Verdict.FITS, used.get(id)));
      } else if (one.verdict() == Verdict.CHECK && proposal.reordering().isLate()) {
        subject
            .map(Subject::free)
            .filter(Quantity::isPositive)
            .ifPresent(free -> others.add(new Proposal.Other(one.item(), Verdict.CHECK, free)));
      }
    }
    return others;
  }

  private Optional<Proposal> with(Proposal proposal, List<Proposal.Other> others) {
    Subject subject = proposal.subject();
    Quantity used =
        others.stream()
            .filter(other -> other.verdict() == Verdict.FITS)
            .map(Proposal.Other::quantity)
            .reduce(Quantity.zero(subject.free().measure()), Quantity::plus);
    return proposals
        .of(subject.having(subject.free().plus(used), subject.coming()))
        .map(other -> other.with(others));
  }
}
