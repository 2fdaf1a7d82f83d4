package ableschema.bench;

import ableschema.core.document.Document;
import ableschema.diagram.LargeDesign;
import ableschema.diagram.layout.Arrangement;

/** The design that the limits speak of: 1,000 entities with 10,000 attributes and 1,500 relationships. */
final class Designs {

    private Designs() {}

    static Document large() {
        return LargeDesign.of(2, 1000, 10, 1500);
    }

    /** 2,000 tables with some 24,000 columns. */
    static Document manyTables() {
        return LargeDesign.of(3, 1900, 11, 3000);
    }

    static Document placed() {
        Document large = large();
        return Arrangement.of(large).appliedTo(large);
    }
}
