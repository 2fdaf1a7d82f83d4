package ableschema.core.store;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A process that is killed while it saves leaves the whole old file or the whole new one. */
class CrashTest {

    private static final int KILLS = 70;
    private static final int ENTITIES = 1200;

    @TempDir
    private Path folder;

    /** Saves two designs, given as files, in turn to a third file, for ever, and says so each time before it begins. */
    static final class Saving {
        private Saving() {}

        public static void main(String[] arguments) throws Exception {
            Path file = Path.of(arguments[0]);
            byte[][] both = {Files.readAllBytes(Path.of(arguments[1])), Files.readAllBytes(Path.of(arguments[2]))};
            for (int i = 0; ; i++) {
                System.out.println("saving");
                System.out.flush();
                SafeFile.write(file, both[i % 2]);
            }
        }
    }

    private static Document design(long seed) {
        IdSource ids = IdSource.seeded(seed);
        var entities = new ArrayList<Entity>();
        for (int i = 0; i < ENTITIES; i++) {
            var attributes = new ArrayList<Attribute>();
            for (int j = 0; j < 12; j++) {
                attributes.add(Attribute.named(ids.next(IdKind.ATTRIBUTE), "field " + j + " of " + seed));
            }
            entities.add(Entity.named(ids.next(IdKind.ENTITY), "Thing " + i)
                    .withBody(Body.EMPTY.withAttributes(attributes)));
        }
        return Document.EMPTY.with(Design.of(entities, List.of()));
    }

    @Test
    void the_file_is_whole_after_each_of_a_hundred_kills() throws Exception {
        Path file = folder.resolve("design.able.json");
        String one = DocumentFile.print(design(1));
        String other = DocumentFile.print(design(2));
        Files.writeString(folder.resolve("one"), one);
        Files.writeString(folder.resolve("other"), other);
        SafeFile.write(file, one);
        var random = new Random(2027);
        var seen = new HashSet<String>();
        int amid = 0;
        for (int kill = 0; kill < KILLS; kill++) {
            amid += killWhileSaving(file, random) ? 1 : 0;
            String left = Files.readString(file);
            assertThat(left.equals(one) || left.equals(other))
                    .as("after kill " + kill)
                    .isTrue();
            seen.add(left);
        }
        assertThat(DocumentFile.read(file).design().entities()).hasSize(ENTITIES);
        assertThat(seen).as("both designs were saved at some time").hasSize(2);
        assertThat(amid).as("kills that left a half-written file beside").isGreaterThan(KILLS / 10);
    }

    /** Lets a child save a few times and kills it at a random moment; says whether it was amid writing. */
    private boolean killWhileSaving(Path file, Random random) throws Exception {
        Process child = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-Xshare:auto",
                        "-cp",
                        System.getProperty("java.class.path"),
                        Saving.class.getName(),
                        file.toString(),
                        folder.resolve("one").toString(),
                        folder.resolve("other").toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        try (var lines = new BufferedReader(new InputStreamReader(child.getInputStream(), StandardCharsets.UTF_8))) {
            for (int i = random.nextInt(3); i >= 0; i--) {
                assertThat(lines.readLine()).isEqualTo("saving");
            }
            TimeUnit.NANOSECONDS.sleep(random.nextInt(12_000_000));
            child.destroyForcibly().waitFor();
        }
        boolean amid = false;
        try (var beside = Files.newDirectoryStream(folder, "." + file.getFileName() + ".*.new")) {
            for (Path left : beside) {
                amid = true;
                Files.delete(left);
            }
        }
        return amid;
    }
}
