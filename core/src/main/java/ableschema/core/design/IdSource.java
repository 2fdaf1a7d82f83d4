package ableschema.core.design;

import java.security.SecureRandom;
import java.util.Random;

/** Hands out ids for new things; passed in, so that tests and the demo give the same ids each time. */
@FunctionalInterface
public interface IdSource {

    Id next(IdKind kind);

    /** Ids that practically never meet those made elsewhere. */
    static IdSource random() {
        return from(new SecureRandom());
    }

    /** The same ids in the same order for the same seed. */
    static IdSource seeded(long seed) {
        return from(new Random(seed));
    }

    private static IdSource from(Random random) {
        return kind -> {
            var code = new StringBuilder();
            for (int i = 0; i < Id.CODE_LENGTH; i++) {
                code.append(Id.DIGITS.charAt(random.nextInt(Id.DIGITS.length())));
            }
            return new Id(kind, code.toString());
        };
    }
}
