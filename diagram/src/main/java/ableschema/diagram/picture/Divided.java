package ableschema.diagram.picture;

import ableschema.core.design.Id;
import ableschema.core.document.District;
import ableschema.diagram.picture.Card.Entry;
import ableschema.diagram.picture.Link.LinkEnd;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;

/** Contents divided into districts: a link that leaves its district is no line, but named on the cards at both ends. */
final class Divided {

    private static final int MOST_NAMED = 6;

    private final List<Link> links;
    private final Map<Id, String> titles = new HashMap<>();
    private final List<District> districts;
    private final List<Link> near = new ArrayList<>();
    private final List<Link> far = new ArrayList<>();
    private final Map<Id, List<Entry>> leading = new HashMap<>();

    Divided(Contents pieces, List<District> districts) {
        this.links = pieces.links();
        this.districts = districts;
        var districtOf = new HashMap<Id, District>();
        districts.forEach(district -> district.cards().forEach(card -> districtOf.put(card, district)));
        for (Link link : pieces.links()) {
            District first = districtOf.get(link.first().card());
            District second = districtOf.get(link.second().card());
            (first == null || second == null || first == second ? near : far).add(link);
        }
        pieces.cards().forEach(card -> titles.put(card.id(), card.title()));
        for (Link link : far) {
            boolean toFirst = !link.isOneToTheSecond();
            name(link, link.second(), link.first(), toFirst);
            name(link, link.first(), link.second(), !toFirst);
        }
        leading.replaceAll(Divided::shortened);
    }

    /** Whether the same links lie between cards of the same titles, so that the same is named on the same cards. */
    boolean fits(Contents other, List<District> divided) {
        boolean same = divided.equals(districts) && other.links().size() == links.size();
        for (int i = 0; same && i < links.size(); i++) {
            same = other.links().get(i) == links.get(i);
        }
        return same
                && other.cards().size() == titles.size()
                && other.cards().stream().allMatch(card -> card.title().equals(titles.get(card.id())));
    }

    /**
     * The contents as they are divided.
     *
     * @param all   the cards, which may have other lines than at first
     * @param known the cards that were made last time, by what they were made from; takes up those that are made now
     * @param farDrawn whether the house rule has links between districts drawn
     */
    Contents contents(List<Card> all, Map<Card, Card> known, boolean farDrawn) {
        Map<Card, Card> now = new IdentityHashMap<>();
        var cards = new ArrayList<Card>();
        for (Card card : all) {
            List<Entry> named = leading.getOrDefault(card.id(), List.of());
            Card before = known.get(card);
            Card with = named.isEmpty()
                    ? card
                    : before != null && before.far().equals(named) ? before : card.leadingTo(named);
            now.put(card, with);
            cards.add(with);
        }
        known.clear();
        known.putAll(now);
        return new Contents(cards, near, far, districts, farDrawn);
    }

    /** @param refers whether rows at this end refer to the other */
    private void name(Link link, LinkEnd at, LinkEnd other, boolean refers) {
        leading.computeIfAbsent(at.card(), card -> new ArrayList<>())
                .add(new Entry(
                        link.relationship(),
                        (refers ? "→ " : "← ") + titles.getOrDefault(other.card(), ""),
                        other.cardinality().toString(),
                        false));
    }

    /** What all refer to would be a list without end. */
    private static List<Entry> shortened(Id card, List<Entry> named) {
        if (named.size() <= MOST_NAMED) {
            return named;
        }
        var shortened = new ArrayList<>(named.subList(0, MOST_NAMED - 1));
        shortened.add(new Entry(card, "and " + (named.size() - MOST_NAMED + 1) + " more", "", false));
        return shortened;
    }
}
