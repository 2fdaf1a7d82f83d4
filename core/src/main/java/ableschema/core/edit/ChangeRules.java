package ableschema.core.edit;

import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.document.HouseRules;

/** Sets the house rules; its name says what was changed in them. */
public record ChangeRules(HouseRules rules, String name) implements Edit {
    @Override
    public Document applyTo(Document document) {
        return document.rules().equals(rules) ? document : document.with(rules);
    }
}
