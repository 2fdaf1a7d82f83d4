package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Index;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.design.Volume;
import ableschema.core.document.Edit;
import ableschema.core.edit.AddEntity;
import ableschema.core.edit.ChangeNotes;
import ableschema.core.edit.Compound;
import ableschema.core.edit.Edits;
import ableschema.core.edit.PutDomain;
import ableschema.core.edit.SubtypeEdits;
import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads the sentences that say one thing of one owner: its kind, its key, what is unique in it, what it is a kind of. */
final class FactSentence {

    private static final Pattern IDENTIFIED = pattern("each (?<noun>.+?) is (?:identified|told) by its (?<list>.+)");
    private static final Pattern SHARE = pattern("no two (?<noun>.+?) share their (?<list>.+)");
    private static final Pattern KIND_OF =
            pattern("(?:an? |each )?(?<noun>.+?) is an? kind of (?<general>.+?)(?<one> \\(in one table\\))?\\.?\\s*");
    private static final Pattern DOMAIN = pattern(
            "the domain (?<noun>.+?) holds (?<type>list\\s*\\([^()]*\\)|[^()]+?)(?:\\s*\\((?<flags>.*)\\))?\\s*\\.?\\s*");
    private static final Pattern VOLUME = pattern(VolumeSentence.PATTERN);
    private static final Pattern ANSWER = pattern(AnswerSentence.OF_ATTRIBUTE);
    private static final Pattern COMPUTED = pattern(
            "the (?<list>.+) of each (?<noun>.+?) is (?:computed|calculated|derived|worked out) (?:from|as|by) (?<value>.+)");
    private static final Pattern PLACES = pattern(AnswerSentence.OF_ENTITY);
    private static final Pattern SEARCHED = pattern(
            "each (?<noun>.+?) is (?:often )?(?<purpose>searched|sorted|indexed|searched and sorted|sorted and searched) by its (?<list>.+)");
    private static final Pattern RULE = pattern("of (?:each|every) (?<noun>.+?): *(?<list>.+)");
    private static final Pattern PARKED = pattern("(?:an? )?(?<noun>.+?) is set aside\\.?\\s*");
    private static final Pattern PLURAL = pattern("the plural of (?<noun>.+?) is (?<list>.+?)\\.?\\s*");
    private static final Pattern ABOUT = pattern("about (?<list>.+?):(?<text>.*)");
    /** Another sentence within what should be a noun. */
    private static final Pattern MORE = Pattern.compile(
            " (?:is|are|has|have|can|may|must|that|which|who|whose|where|if|when) ", Pattern.CASE_INSENSITIVE);

    private static final Pattern KIND = pattern("(?<article>an? |the )?(?<noun>.+?) is an? (?<kind>" + Quoted.MASK
            + "+|\\p{L}[\\p{L} -]*?)\\s*(?::(?<text>.*)|\\.)?\\s*");

    private final Design design;
    private final IdSource ids;
    private final Nouns nouns;
    private final Owners owners;

    FactSentence(Design design, IdSource ids) {
        this.design = design;
        this.ids = ids;
        this.nouns = Nouns.of(design);
        this.owners = new Owners(design, nouns);
    }

    private static Pattern pattern(String words) {
        return Pattern.compile("\\s*" + words, Pattern.CASE_INSENSITIVE | Pattern.DOTALL);
    }

    /** Empty where the line is a sentence of another form. */
    Optional<Understanding> read(String text, String masked) {
        return matched(PLURAL, text, masked)
                .map(this::plural)
                .or(() -> matched(PLACES, text, masked).map(this::places))
                .or(() -> matched(COMPUTED, text, masked).map(this::computed))
                .or(() -> matched(ANSWER, text, masked).map(this::answer))
                .or(() -> matched(VOLUME, text, masked).map(this::volume))
                .or(() -> matched(SEARCHED, text, masked).map(this::searched))
                .or(() -> matched(RULE, text, masked).map(this::rule))
                .or(() -> matched(DOMAIN, text, masked).map(this::domain))
                .or(() -> matched(ABOUT, text, masked).map(this::about))
                .or(() -> matched(IDENTIFIED, text, masked).map(this::told))
                .or(() -> matched(SHARE, text, masked).map(this::share))
                .or(() -> matched(KIND_OF, text, masked).map(this::kindOf))
                .or(() -> masked.stripLeading().toLowerCase(Locale.ROOT).startsWith("each ") || masked.contains("->")
                        ? Optional.empty()
                        : matched(PARKED, text, masked).map(this::parked).or(() -> matched(KIND, text, masked)
                                .map(this::kind)));
    }

    /** A line that has the form of a pattern, with the parts of the unmasked text. */
    private record Parts(String text, Matcher matcher) {
        String part(String name) {
            return matcher.start(name) < 0
                    ? ""
                    : text.substring(matcher.start(name), matcher.end(name)).strip();
        }

        Misunderstanding at(String name, String problem) {
            return new Misunderstanding(matcher.start(name), matcher.end(name), problem);
        }

        /** The text of a part, which ends before the full stop. */
        int endOf(String name) {
            String stripped = text.substring(0, matcher.end(name)).stripTrailing();
            return stripped.endsWith(".") ? stripped.length() - 1 : stripped.length();
        }
    }

    private static Optional<Parts> matched(Pattern pattern, String text, String masked) {
        Matcher matcher = pattern.matcher(masked);
        return matcher.matches() ? Optional.of(new Parts(text, matcher)) : Optional.empty();
    }

    private Id owner(Parts parts) {
        String noun = parts.part("noun");
        return owners.owner(noun)
                .orElseThrow(() -> parts.at("noun", "there is no entity called " + Quoted.plain(noun) + " yet"));
    }

    private Understanding understood(Edit edit, Id about) {
        return new Understanding.Understood(edit, edit.name(), Optional.of(about));
    }

    private Understanding told(Parts parts) {
        Id owner = owner(parts);
        var key =
                new PartNames(design, owner).read(parts.text(), parts.matcher().start("list"), parts.endOf("list"));
        return understood(new Edits(design, ids).chooseKey(owner, key), owner);
    }

    private Understanding share(Parts parts) {
        Id owner = owner(parts);
        var unique =
                new PartNames(design, owner).read(parts.text(), parts.matcher().start("list"), parts.endOf("list"));
        return understood(new Edits(design, ids).addUnique(owner, unique), owner);
    }

    private Understanding kindOf(Parts parts) {
        var edits = new ArrayList<Edit>();
        Entity special = known(parts.part("noun"), parts, edits);
        Entity general = known(parts.part("general"), parts, edits);
        if (special.id().equals(general.id())) {
            throw parts.at("general", "nothing is a kind of itself");
        }
        if (new SubtypeEdits(design, ids).isKindOf(general.id(), special.id())) {
            throw parts.at(
                    "general",
                    "each " + nouns.one(general) + " is a kind of " + nouns.one(special)
                            + " already, and not both ways");
        }
        SubtypeLayout layout = parts.part("one").isEmpty() ? SubtypeLayout.OWN_TABLE : SubtypeLayout.ONE_TABLE;
        Design with = design;
        for (Edit edit : edits) {
            with = with.with(((AddEntity) edit).entity());
        }
        Edit edit = new SubtypeEdits(with, ids).makeKindOf(special, general, layout);
        edits.add(edit);
        return understood(edits.size() == 1 ? edit : new Compound(edit.name(), edits), special.id());
    }

    private Entity known(String noun, Parts parts, List<Edit> edits) {
        return nouns.entity(noun).orElseGet(() -> {
            Entity made = Entity.named(ids.next(IdKind.ENTITY), nouns.newName(noun, parts.text()));
            edits.add(new AddEntity(made, Optional.empty()));
            return made;
        });
    }

    private Understanding parked(Parts parts) {
        Entity entity = nouns.entity(parts.part("noun"))
                .orElseThrow(() -> parts.at("noun", "there is no entity called " + parts.part("noun") + " yet"));
        return understood(new Edits(design, ids).setParked(entity, true), entity.id());
    }

    private Understanding domain(Parts parts) {
        String name = Quoted.plain(parts.part("noun"));
        DataType base;
        try {
            base = DataTypes.parse(parts.part("type"));
        } catch (IllegalArgumentException e) {
            throw parts.at("type", String.valueOf(e.getMessage()));
        }
        if (base instanceof DataType.InDomain || base instanceof DataType.Counted) {
            throw parts.at(
                    "type",
                    "a domain holds a type such as text 40, neither another domain nor numbers that are handed out");
        }
        Attribute standIn = DomainWords.standIn(name, base, ids);
        Optional<AttributeFlags> flags = parts.matcher().start("flags") < 0
                ? Optional.empty()
                : Optional.of(new AttributeFlags(
                        standIn, base, parts.part("flags"), parts.matcher().start("flags")));
        flags.flatMap(said -> said.attribute().marks().stream().findFirst()).ifPresent(mark -> {
            throw parts.at("flags", "'" + mark + "' is said of each attribute, not of a domain");
        });
        PutDomain put = new DomainWords(design).put(name, base, flags, ids);
        return understood(put, put.domain().id());
    }

    private Understanding searched(Parts parts) {
        Id owner = owner(parts);
        IndexText.Read read =
                new IndexText(design, owner).read(parts.text(), parts.matcher().start("list"), parts.endOf("list"));
        String purpose = parts.part("purpose").toLowerCase(Locale.ROOT);
        boolean both = purpose.contains(" and ");
        Index index = read.index(
                both ? Index.Purpose.BOTH : purpose.equals("sorted") ? Index.Purpose.SORTED : Index.Purpose.SEARCHED);
        return understood(new Edits(design, ids).addIndex(owner, index), owner);
    }

    private Understanding rule(Parts parts) {
        Id owner = owner(parts);
        var rule =
                new CheckText(design, owner).read(parts.text(), parts.matcher().start("list"), parts.endOf("list"));
        return understood(new Edits(design, ids).addCheck(owner, rule), owner);
    }

    private Understanding places(Parts parts) {
        Id owner = owner(parts);
        return answered(owner, owner, parts.part("answer"));
    }

    private Understanding answer(Parts parts) {
        Id owner = owner(parts);
        return answered(owner, attribute(owner, parts).id(), parts.part("answer"));
    }

    private Attribute attribute(Id owner, Parts parts) {
        String name = Quoted.plain(parts.part("list"));
        return design.body(owner)
                .orElse(Body.EMPTY)
                .attribute(name)
                .orElseThrow(() -> parts.at("list", new PartNames(design, owner).problem(name)));
    }

    private Understanding computed(Parts parts) {
        Id owner = owner(parts);
        Attribute attribute = attribute(owner, parts);
        Expression<ColumnRef> value = new CheckText(design, owner)
                .readComputed(attribute, parts.text(), parts.matcher().start("value"), parts.endOf("value"));
        return understood(
                new Edits(design, ids).changeAttribute(attribute.withFilling(Filling.computed(value))), attribute.id());
    }

    private Understanding answered(Id owner, Id about, String words) {
        var answer = AnswerSentence.read(words);
        return understood(
                new ChangeNotes(
                        design.notes().withAnswer(about, answer.getKey(), Optional.of(answer.getValue())),
                        "answer: " + answer.getKey().text()),
                owner);
    }

    private Understanding volume(Parts parts) {
        Id owner = owner(parts);
        long first = number(parts, "first");
        long year = parts.matcher().start("year") < 0 ? 0 : number(parts, "year");
        return understood(
                new ChangeNotes(
                        design.notes().withVolume(owner, new Volume(first, year)),
                        "say how many of " + design.nameOf(owner) + " there are"),
                owner);
    }

    private static long number(Parts parts, String name) {
        try {
            return VolumeSentence.read(parts.part(name));
        } catch (IllegalArgumentException e) {
            throw parts.at(name, String.valueOf(e.getMessage()));
        }
    }

    private Understanding plural(Parts parts) {
        String one = Quoted.plain(parts.part("noun")).toLowerCase(Locale.ROOT);
        String many = Quoted.plain(parts.part("list"));
        Edit edit =
                new ChangeNotes(design.notes().withPlural(one, many), "say that several of " + one + " are " + many);
        return new Understanding.Understood(edit, edit.name(), nouns.entity(one).map(Entity::id));
    }

    /** "About colour of hive: as the keeper sees it"; each " of " may be the one between attribute and owner. */
    private Understanding about(Parts parts) {
        String list = parts.part("list");
        String masked = Quoted.masked(list);
        for (int of = masked.indexOf(" of "); of > 0; of = masked.indexOf(" of ", of + 1)) {
            Optional<Id> owner = owners.owner(list.substring(of + 4));
            String name = Quoted.plain(list.substring(0, of));
            Optional<Attribute> attribute =
                    owner.flatMap(design::body).orElse(Body.EMPTY).attribute(name);
            if (attribute.isPresent()) {
                String comment = Quoted.plain(parts.part("text"));
                Edit edit =
                        new Edits(design, ids).changeAttribute(attribute.get().withComment(comment));
                return understood(edit, owner.get());
            }
        }
        throw parts.at("list", "expected an attribute and what it belongs to, as in: About colour of hive: as seen");
    }

    private Understanding kind(Parts parts) {
        String noun = parts.part("noun");
        if (!Quoted.is(noun) && Nouns.pointsOnly(noun)) {
            throw parts.at("noun", "\"" + noun + "\" only points at something; say its name");
        }
        if (!Quoted.is(noun) && MORE.matcher(" " + noun + " ").find()) {
            throw parts.at("noun", "this is more than a noun; say the rest in a sentence of its own");
        }
        String said = parts.part("kind");
        String kind = Quoted.is(said) ? Quoted.plain(said) : said.toLowerCase(Locale.ROOT);
        EntityKind named = kind.equals("entity") && !Quoted.is(said) ? EntityKind.UNSAID : new EntityKind(kind);
        Optional<Entity> known = nouns.entity(noun);
        Entity before = known.orElseGet(() -> Entity.named(ids.next(IdKind.ENTITY), nouns.newName(noun, parts.text())));
        Entity changed = before.withKind(named);
        if (parts.matcher().start("text") >= 0) {
            changed = changed.withDefinition(Quoted.plain(parts.part("text")));
        }
        Edit edit = known.isPresent()
                ? new Edits(design, ids).setKind(changed, named)
                : new AddEntity(changed, Optional.empty());
        String gist = (known.isPresent() ? "" : "new entity: ") + before.name() + " is a " + kind;
        return new Understanding.Understood(edit, gist, Optional.of(before.id()));
    }
}
