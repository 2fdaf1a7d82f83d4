package ableschema.diagram.layout;

import ableschema.core.design.Id;
import ableschema.core.document.Document;
import ableschema.core.mapping.Mapping;
import ableschema.diagram.layout.Sizes.Size;
import ableschema.diagram.picture.Card;
import ableschema.diagram.picture.ContentsMaker;
import ableschema.diagram.picture.View;
import java.util.EnumMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.Map;

/** Measures the cards of one document after another; cards that have not changed are not measured again. */
public final class Measuring {

    private final Map<View, ContentsMaker> makers = new EnumMap<>(View.class);
    private Map<Card, Size> known = new IdentityHashMap<>();

    /** @param mapping the tables of the document */
    Sizes of(Document document, Mapping mapping) {
        Map<Card, Size> measured = new IdentityHashMap<>();
        var sizes = new LinkedHashMap<Id, Size>();
        for (View view : View.values()) {
            ContentsMaker maker = makers.computeIfAbsent(view, each -> new ContentsMaker());
            for (Card card : maker.of(document, mapping, view).cards()) {
                Size before = known.get(card);
                Size size = before == null ? new Size(card.width(), card.height()) : before;
                measured.put(card, size);
                sizes.merge(
                        card.id(),
                        size,
                        (a, b) -> new Size(Math.max(a.width(), b.width()), Math.max(a.height(), b.height())));
            }
        }
        known = measured;
        return new Sizes(sizes);
    }
}
