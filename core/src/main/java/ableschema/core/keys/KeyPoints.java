package ableschema.core.keys;

import ableschema.core.design.Attribute;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.design.KeyQuestion;
import ableschema.core.design.Mark;
import ableschema.core.design.Row;
import ableschema.core.keys.KeyCandidate.Clash;
import ableschema.core.keys.KeyCandidate.Kind;
import ableschema.core.keys.KeyCandidate.Point;
import ableschema.core.keys.KeyCandidate.Verdict;
import ableschema.core.mapping.Keys;
import ableschema.core.normalization.EntityTheory;
import ableschema.core.rows.RowValues;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.theory.AttributeSet;
import ableschema.core.types.DataType;
import ableschema.core.words.Sentences;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/** Answers, for one entity, the questions on which all its candidate keys are compared. */
final class KeyPoints {

    /** A key of at most this many bytes costs no more than a number. */
    private static final int SHORT = 8;

    /** Where a text has no limit, nothing is known but that it may be long. */
    private static final int LONGEST = 255;

    /** Names of what people call a thing by, so that it is a code that somebody gives and looks after. */
    private static final Pattern CODE =
            Pattern.compile("(?i)(?:^|.*[ _])(?:code|no|nr|number|id|isbn|ean|iban|plate|ring|tag|imo|vin)");

    private static final Pattern CORRECTED = Pattern.compile(
            "(?i).*\\b(?:name|title|e-?mail|phone|telephone|address|status|price|colour|color|place)\\b.*");
    private static final Pattern PERSONAL = Pattern.compile(
            "(?i).*\\b(?:e-?mail|phone|telephone|mobile|birth|born|passport|social security|tax|iban|address)\\b.*");

    private final Design design;
    private final Entity entity;
    private final Dialect dialect;
    private final Keys keys;
    private final RowValues values;
    private final EntityTheory theory;
    private final Sentences sentences;
    private final long children;

    KeyPoints(Design design, Entity entity, Dialect dialect, EntityTheory theory) {
        this.design = design;
        this.entity = entity;
        this.dialect = dialect;
        this.keys = new Keys(design);
        this.values = new RowValues(design);
        this.theory = theory;
        this.sentences = new Sentences(design);
        this.children = design.relationshipsOf(entity.id())
                .filter(r -> r.isManyToMany()
                        || r.referencedSide()
                                .filter(s -> r.end(s).entity().equals(entity.id()))
                                .isPresent())
                .count();
    }

    /** Of parts that are there. */
    List<Point> of(List<KeyPart> parts, List<Clash> clashes) {
        boolean counted = types(parts).stream().anyMatch(DataType.Counted.class::isInstance);
        boolean made = types(parts).contains(DataType.Simple.UUID);
        return List.of(
                stated(parts),
                inRows(parts, clashes),
                there(parts),
                places(counted),
                counted || made ? stays(true) : staysTheSame(parts),
                counted || made ? open() : isPrivate(parts),
                counted || made ? known(made) : isKnown(parts),
                bytes(types(parts)),
                gaps(counted));
    }

    /** Of an attribute that would be made to be the key. */
    List<Point> ofMade(DataType type) {
        boolean counted = type instanceof DataType.Counted;
        return List.of(
                point(Kind.STATED, "by making it", Verdict.GOOD),
                point(Kind.ROWS, rowsQuestion(), "no two alike", Verdict.GOOD),
                point(Kind.THERE, "yes", Verdict.GOOD),
                places(counted),
                stays(true),
                open(),
                known(!counted),
                bytes(List.of(type.asReferenced())),
                gaps(counted));
    }

    /** The rows that have the same values; a row that is empty in one of the parts is like no other. */
    List<Clash> clashes(List<KeyPart> parts) {
        List<ColumnRef> columns = keys.columns(entity.id(), parts);
        Map<List<String>, List<Integer>> places = new LinkedHashMap<>();
        List<Row> rows = entity.body().rows();
        for (int i = 0; i < rows.size(); i++) {
            List<String> found = values.values(rows.get(i), columns);
            if (found.stream().noneMatch(String::isEmpty)) {
                places.computeIfAbsent(found, each -> new ArrayList<>()).add(i + 1);
            }
        }
        return places.entrySet().stream()
                .filter(each -> each.getValue().size() > 1)
                .map(each -> new Clash(each.getKey(), each.getValue()))
                .toList();
    }

    private static Point point(Kind kind, String answer, Verdict verdict) {
        String question =
                switch (kind) {
                    case STATED -> "Follows from the rules";
                    case ROWS -> "In the sample rows";
                    case THERE -> "Always there";
                    case PLACES -> "Made in several places";
                    case STAYS -> "Stays the same";
                    case PRIVATE -> "Open to everyone";
                    case KNOWN -> "Known to people";
                    case BYTES -> "Bytes a row, at most";
                    case GAPS -> "Gaps in it";
                };
        return point(kind, question, answer, verdict);
    }

    private static Point point(Kind kind, String question, String answer, Verdict verdict) {
        return new Point(kind, question, answer, verdict, Optional.empty());
    }

    private static Point asking(Point point, KeyQuestion question) {
        return new Point(point.kind(), point.question(), point.answer(), point.verdict(), Optional.of(question));
    }

    private Point stated(List<KeyPart> parts) {
        AttributeSet set = theory.set(parts);
        List<AttributeSet> within = theory.analysis().keys().found().stream()
                .filter(set::containsAll)
                .toList();
        if (within.isEmpty()) {
            return point(Kind.STATED, "not stated", Verdict.NEUTRAL);
        }
        return within.contains(set)
                ? point(Kind.STATED, parts.size() > 1 ? "yes, nothing smaller" : "yes", Verdict.GOOD)
                : point(Kind.STATED, "yes, but " + theory.listed(within.get(0)) + " alone does", Verdict.NEUTRAL);
    }

    private String rowsQuestion() {
        int count = entity.body().rows().size();
        return count == 0 ? "In the sample rows" : "In the " + (count == 1 ? "1 row" : count + " rows");
    }

    private Point inRows(List<KeyPart> parts, List<Clash> clashes) {
        List<ColumnRef> columns = keys.columns(entity.id(), parts);
        boolean filled = entity.body().rows().stream()
                .anyMatch(row -> values.values(row, columns).stream().noneMatch(String::isEmpty));
        if (!filled) {
            boolean rows = !entity.body().rows().isEmpty();
            return point(Kind.ROWS, rowsQuestion(), rows ? "empty in all" : "no rows yet", Verdict.NEUTRAL);
        }
        int alike = clashes.stream().mapToInt(each -> each.rows().size()).sum();
        return clashes.isEmpty()
                ? point(Kind.ROWS, rowsQuestion(), "no two alike", Verdict.GOOD)
                : point(Kind.ROWS, rowsQuestion(), alike + " rows clash", Verdict.BAD);
    }

    private Point there(List<KeyPart> parts) {
        Optional<Point> nowhere =
                parts.stream().flatMap(part -> leadsNowhere(part).stream()).findFirst();
        if (nowhere.isPresent()) {
            return nowhere.get();
        }
        return parts.stream()
                .filter(this::isOptional)
                .map(part -> point(Kind.THERE, sentences.called(part) + " may be empty", Verdict.BAD))
                .findFirst()
                .orElseGet(() -> point(Kind.THERE, "yes", Verdict.GOOD));
    }

    /** A part that another entity brings, but from here, or not to here. */
    private Optional<Point> leadsNowhere(KeyPart part) {
        boolean elsewhere = part instanceof KeyPart.WholeReference whole
                && !design.referencesOf(entity.id()).contains(whole.end());
        String called = elsewhere || keys.leadsBack(entity.id(), part) ? sentences.called(part) : "";
        return called.isEmpty()
                ? Optional.empty()
                : Optional.of(point(
                        Kind.THERE,
                        called + (elsewhere ? " is not referred to" : " takes its key from here"),
                        Verdict.BAD));
    }

    private boolean isOptional(KeyPart part) {
        return part instanceof ColumnRef.Own own
                ? design.attribute(own.id()).filter(Attribute::optional).isPresent()
                : part.through().filter(design::isOptional).isPresent();
    }

    private Point places(boolean counted) {
        Optional<Boolean> several = design.notes().answer(entity.id(), KeyQuestion.SEVERAL_PLACES);
        if (!counted) {
            return point(Kind.PLACES, "yes", Verdict.GOOD);
        }
        return several.map(yes -> yes
                        ? point(Kind.PLACES, "two copies clash", Verdict.BAD)
                        : point(Kind.PLACES, "not needed", Verdict.GOOD))
                .orElseGet(() -> point(Kind.PLACES, "two copies would clash", Verdict.NEUTRAL));
    }

    private static Point stays(boolean made) {
        return point(Kind.STAYS, made ? "never changed" : "yes", Verdict.GOOD);
    }

    private Point staysTheSame(List<KeyPart> parts) {
        List<Attribute> own = own(parts);
        Optional<Attribute> changing = own.stream()
                .filter(each -> answered(each, KeyQuestion.CHANGES, true))
                .findFirst();
        Point point;
        if (changing.isPresent()) {
            point = point(Kind.STAYS, changing.get().name() + " changes", Verdict.BAD);
        } else if (own.stream().allMatch(each -> answered(each, KeyQuestion.CHANGES, false))) {
            point = stays(false);
        } else {
            point = own.stream()
                    .filter(each -> !answered(each, KeyQuestion.CHANGES, false)
                            && CORRECTED.matcher(each.name()).matches())
                    .findFirst()
                    .map(each -> point(Kind.STAYS, each.name() + " may be corrected", Verdict.NEUTRAL))
                    .orElseGet(() -> point(Kind.STAYS, "not said", Verdict.NEUTRAL));
        }
        return own.isEmpty() ? point : asking(point, KeyQuestion.CHANGES);
    }

    private static Point open() {
        return point(Kind.PRIVATE, "yes", Verdict.GOOD);
    }

    private Point isPrivate(List<KeyPart> parts) {
        List<Attribute> own = own(parts);
        Point point = own.stream()
                .filter(each ->
                        answered(each, KeyQuestion.PRIVATE, true) || each.is(Mark.PERSONAL) || each.is(Mark.SECRET))
                .map(each -> point(Kind.PRIVATE, each.name() + " is private", Verdict.BAD))
                .findFirst()
                .or(() -> own.stream()
                        .filter(each -> answer(each, KeyQuestion.PRIVATE).isEmpty()
                                && PERSONAL.matcher(each.name()).matches())
                        .map(each -> point(Kind.PRIVATE, each.name() + " looks private", Verdict.NEUTRAL))
                        .findFirst())
                .orElseGet(KeyPoints::open);
        return own.isEmpty() ? point : asking(point, KeyQuestion.PRIVATE);
    }

    private static Point known(boolean made) {
        return point(Kind.KNOWN, made ? "no: a code beside it" : "only a number", Verdict.NEUTRAL);
    }

    private Point isKnown(List<KeyPart> parts) {
        List<Attribute> own = own(parts);
        Point point;
        if (own.stream().anyMatch(each -> answered(each, KeyQuestion.KNOWN, false))) {
            point = point(Kind.KNOWN, "no", Verdict.NEUTRAL);
        } else if (own.stream()
                .allMatch(each ->
                        answered(each, KeyQuestion.KNOWN, true) || isCode(each.name()) || isName(each.name()))) {
            point = point(Kind.KNOWN, "yes", Verdict.GOOD);
        } else {
            point = point(Kind.KNOWN, "not said", Verdict.NEUTRAL);
        }
        return own.isEmpty() ? point : asking(point, KeyQuestion.KNOWN);
    }

    static boolean isCode(String name) {
        return CODE.matcher(name.strip()).matches();
    }

    private static boolean isName(String name) {
        return name.matches("(?i).*\\b(?:name|title|known as)\\b.*");
    }

    private boolean answered(Attribute attribute, KeyQuestion question, boolean yes) {
        return answer(attribute, question).filter(given -> given == yes).isPresent();
    }

    private Optional<Boolean> answer(Attribute attribute, KeyQuestion question) {
        return design.notes().answer(attribute.id(), question);
    }

    /** The attributes among the parts; what comes with a reference was asked where the parent's key was chosen. */
    private List<Attribute> own(List<KeyPart> parts) {
        return parts.stream()
                .filter(ColumnRef.Own.class::isInstance)
                .map(part -> ((ColumnRef.Own) part).id())
                .flatMap((Id id) -> design.attribute(id).stream())
                .toList();
    }

    List<DataType> types(List<KeyPart> parts) {
        return keys.columns(entity.id(), parts).stream().map(keys::type).toList();
    }

    private Point bytes(List<DataType> types) {
        int here = types.stream().mapToInt(this::bytes).sum();
        Verdict verdict = here <= SHORT ? Verdict.GOOD : Verdict.NEUTRAL;
        if (children == 0) {
            return point(Kind.BYTES, Integer.toString(here), verdict);
        }
        String question = "Bytes: here / in " + children + (children == 1 ? " child" : " children");
        return point(Kind.BYTES, question, here + " / " + here * children, verdict);
    }

    /** What a value takes in the dialect, at most; of a text its longest value in letters that take one byte. */
    private int bytes(DataType type) {
        int fixed = dialect.form(type).bytes();
        if (fixed > 0) {
            return fixed;
        }
        if (type instanceof DataType.Text text) {
            return text.max() == 0 ? LONGEST : text.max();
        }
        return type instanceof DataType.Decimal decimal ? decimal.precision() / 2 + 1 : SHORT;
    }

    private Point gaps(boolean counted) {
        return counted && dialect.usesUpRefusedNumbers()
                ? point(Kind.GAPS, "after a refused row", Verdict.NEUTRAL)
                : point(Kind.GAPS, "none to notice", Verdict.GOOD);
    }
}
