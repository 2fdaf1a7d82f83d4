package ableschema.core.ddl;

import ableschema.core.carried.Carried;
import ableschema.core.carried.Carried.Kind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The statements that are carried along up to the one that is being read, found by what they make, as a script may have thousands. */
final class CarriedDraft {

    private final Names names;
    private final Map<Integer, Carried> all = new LinkedHashMap<>();

    /** The places of those of a kind that are called so, but for their arguments or table. */
    private final Map<String, List<Integer>> called = new HashMap<>();

    private int next;

    CarriedDraft(Names names) {
        this.names = names;
    }

    void add(Carried statement) {
        all.put(next, statement);
        called.computeIfAbsent(key(statement.kind(), statement.name()), any -> new ArrayList<>(1))
                .add(next);
        next++;
    }

    private String key(Kind kind, String name) {
        int end = name.length();
        int bracket = name.indexOf('(');
        int table = name.indexOf(" on ");
        end = bracket >= 0 ? bracket : end;
        end = table >= 0 ? Math.min(end, table) : end;
        return kind + " " + names.key(name.substring(0, end));
    }

    /** Takes away what is called so; a name that is said without its arguments or its table means all of that name. */
    void forget(Kind kind, String name) {
        String key = key(kind, name);
        List<Integer> places = called.getOrDefault(key, List.of());
        boolean plain = key.equals(kind + " " + names.key(name));
        List<Integer> rest = new ArrayList<>(places);
        rest.removeIf(place -> {
            Carried each = all.get(place);
            boolean meant = each != null && (plain || names.same(each.name(), name));
            if (meant) {
                all.remove(place);
            }
            return meant;
        });
        called.put(key, rest);
    }

    /** Takes away the routine of that name which takes values of these types, as several may be called so. */
    void forgetRoutine(String name, String types) {
        List<Integer> places = new ArrayList<>(called.getOrDefault(key(Kind.ROUTINE, name), List.of()));
        List<Integer> meant = places.size() == 1
                ? places
                : places.stream()
                        .filter(place -> Signature.of(all.get(place).name()).takes(types))
                        .toList();
        meant.forEach(all::remove);
        places.removeAll(meant);
        called.put(key(Kind.ROUTINE, name), places);
    }

    /** Whether something of a kind is called so. */
    boolean has(Kind kind, String name) {
        return !called.getOrDefault(key(kind, name), List.of()).isEmpty();
    }

    /** All of them, in the order in which they were found. */
    List<Carried> list() {
        return List.copyOf(all.values());
    }
}
