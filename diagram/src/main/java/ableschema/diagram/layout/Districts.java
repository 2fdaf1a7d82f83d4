package ableschema.diagram.layout;

import ableschema.core.design.Id;
import ableschema.diagram.picture.Link;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import org.jgrapht.Graph;
import org.jgrapht.alg.clustering.LabelPropagationClustering;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.SimpleGraph;

/**
 * Finds neighbourhoods of about a dozen cards that are linked more among themselves than with others. Hubs, which everything
 * refers to, would draw all into one; they are left out at first and then go where they are used most.
 */
final class Districts {

    private static final int MOST = 18;
    private static final int USUAL = 12;
    private static final int FEW = 4;
    private static final int ROUNDS = 30;
    private static final int HUB_FROM = 10;
    private static final double HUB_SHARE = 0.75;

    private final List<Id> cards;
    private final Map<Id, List<Id>> linked = new LinkedHashMap<>();
    private final Map<Id, Integer> groupOf = new HashMap<>();
    private final List<List<Id>> groups = new ArrayList<>();

    private Districts(List<Id> cards, List<Link> links) {
        this.cards = cards;
        cards.forEach(card -> linked.put(card, new ArrayList<>()));
        for (Link link : links) {
            Id first = link.first().card();
            Id second = link.second().card();
            if (!link.isLoop() && linked.containsKey(first) && linked.containsKey(second)) {
                linkedTo(first).add(second);
                linkedTo(second).add(first);
            }
        }
    }

    /** The groups, each card in one of them, the same for the same cards and links. */
    static List<List<Id>> of(List<Id> cards, List<Link> links) {
        var districts = new Districts(cards, links);
        districts.group();
        return districts.groups.stream().filter(group -> !group.isEmpty()).toList();
    }

    private List<Id> linkedTo(Id card) {
        return Objects.requireNonNull(linked.get(card), "each card has its links");
    }

    private void group() {
        Set<Id> hubs = hubs();
        for (Set<Id> found : clusters(hubs)) {
            for (List<Id> part : inParts(found)) {
                add(part);
            }
        }
        hubs.forEach(this::settle);
        joinSmall();
    }

    private void add(List<Id> group) {
        group.forEach(card -> groupOf.put(card, groups.size()));
        groups.add(new ArrayList<>(group));
    }

    /** Cards with far more links than most have, to cards that are at home elsewhere; the middle of a group is none. */
    private Set<Id> hubs() {
        double mean = linked.values().stream().mapToInt(List::size).average().orElse(0);
        var hubs = new LinkedHashSet<Id>();
        linked.forEach((card, others) -> {
            if (others.size() >= Math.max(HUB_FROM, 3 * mean) && shareAtHomeElsewhere(card) >= HUB_SHARE) {
                hubs.add(card);
            }
        });
        return hubs;
    }

    /** The share of what a card is linked with that is linked with something else, which the card is not. */
    private double shareAtHomeElsewhere(Id card) {
        var near = new HashSet<>(linkedTo(card));
        near.add(card);
        return linkedTo(card).stream()
                .mapToInt(other -> near.containsAll(linkedTo(other)) ? 0 : 1)
                .average()
                .orElse(0);
    }

    /** Label propagation, after Raghavan, Albert and Kumara (2007). */
    private List<Set<Id>> clusters(Set<Id> hubs) {
        Graph<Id, DefaultEdge> graph = new SimpleGraph<>(DefaultEdge.class);
        cards.stream().filter(card -> !hubs.contains(card)).forEach(graph::addVertex);
        linked.forEach((card, others) -> others.forEach(other -> {
            if (graph.containsVertex(card) && graph.containsVertex(other)) {
                graph.addEdge(card, other);
            }
        }));
        return new LabelPropagationClustering<>(graph, ROUNDS, new Random(1))
                .getClustering()
                .getClusters();
    }

    /** A cluster, cut where it is too large into parts of cards that lie near each other. */
    private List<List<Id>> inParts(Set<Id> cluster) {
        List<Id> ordered = cards.stream().filter(cluster::contains).toList();
        if (ordered.size() <= MOST) {
            return List.of(ordered);
        }
        var parts = new ArrayList<List<Id>>();
        var left = new LinkedHashSet<>(ordered);
        int size = (int) Math.ceil(ordered.size() / Math.ceil(ordered.size() / (double) USUAL));
        while (!left.isEmpty()) {
            List<Id> part = near(left, size);
            part.forEach(left::remove);
            parts.add(part);
        }
        return parts;
    }

    /** As many cards, beginning with the one that has most links, each next to those before. */
    private List<Id> near(Set<Id> left, int size) {
        var part = new LinkedHashSet<Id>();
        var open = new ArrayDeque<Id>();
        open.add(left.stream()
                .max(Comparator.comparingInt(card -> linkedTo(card).size()))
                .orElseThrow()); // asked only while some are left
        while (!open.isEmpty() && part.size() < size) {
            Id next = open.poll();
            if (left.contains(next) && part.add(next)) {
                open.addAll(linkedTo(next));
            }
        }
        return List.copyOf(part);
    }

    /** Groups of a few go to the group that they are linked with most, and those linked with none together. */
    private void joinSmall() {
        for (int i = 0; i < groups.size(); i++) {
            List<Id> group = groups.get(i);
            if (!group.isEmpty() && group.size() < FEW) {
                int with = mostLinked(group, i, MOST - group.size());
                if (with >= 0) {
                    move(group, i, with);
                }
            }
        }
        int rest = -1;
        for (int i = 0; i < groups.size(); i++) {
            List<Id> group = groups.get(i);
            if (!group.isEmpty() && group.size() < FEW) {
                if (rest >= 0 && groups.get(rest).size() + group.size() <= USUAL) {
                    move(group, i, rest);
                } else {
                    rest = i;
                }
            }
        }
    }

    private void move(List<Id> group, int from, int to) {
        group.forEach(card -> groupOf.put(card, to));
        groups.get(to).addAll(group);
        groups.set(from, new ArrayList<>());
    }

    /** The group with most links to these cards among those that are small enough; -1 for none. */
    private int mostLinked(List<Id> of, int but, int most) {
        var count = new HashMap<Integer, Integer>();
        var own = new HashSet<>(of);
        for (Id card : of) {
            for (Id other : linkedTo(card)) {
                Integer group = groupOf.get(other);
                if (group != null
                        && group != but
                        && !own.contains(other)
                        && groups.get(group).size() <= most) {
                    count.merge(group, 1, Integer::sum);
                }
            }
        }
        return count.entrySet().stream()
                .max(Comparator.<Map.Entry<Integer, Integer>>comparingInt(Map.Entry::getValue)
                        .thenComparing(each -> -each.getKey()))
                .map(Map.Entry::getKey)
                .orElse(-1);
    }

    /** Puts a hub where it is used most. */
    private void settle(Id hub) {
        int where = mostLinked(List.of(hub), -1, Integer.MAX_VALUE);
        if (where < 0) {
            add(List.of(hub));
        } else {
            groupOf.put(hub, where);
            groups.get(where).add(hub);
        }
    }
}
