package ableschema.core.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SafeFileTest {

    private static final String OLD = "old ".repeat(50_000);
    private static final String NEW = "brand new ".repeat(30_000);

    @TempDir
    private Path folder;

    @Test
    void whoever_reads_meanwhile_sees_the_whole_old_file_or_the_whole_new_one() throws Exception {
        Path file = folder.resolve("design.able.json");
        SafeFile.write(file, OLD);
        var writing = new AtomicBoolean(true);
        CompletableFuture<Set<String>> reader = CompletableFuture.supplyAsync(() -> {
            var seen = new HashSet<String>();
            while (writing.get()) {
                seen.add(read(file));
            }
            return seen;
        });
        for (int i = 0; i < 100; i++) {
            SafeFile.write(file, i % 2 == 0 ? NEW : OLD);
        }
        writing.set(false);

        assertThat(reader.get(30, TimeUnit.SECONDS)).isNotEmpty().isSubsetOf(OLD, NEW);
        assertThat(file).hasContent(OLD);
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            return "unreadable: " + e;
        }
    }

    @Test
    void nothing_is_left_beside_the_file() throws Exception {
        SafeFile.write(folder.resolve("a.sql"), "one");
        SafeFile.write(folder.resolve("a.sql"), "two".getBytes(StandardCharsets.UTF_8));

        try (var files = Files.list(folder)) {
            assertThat(files).containsExactly(folder.resolve("a.sql"));
        }
        assertThat(folder.resolve("a.sql")).hasContent("two");
    }

    @Test
    void what_a_broken_off_write_left_is_no_hindrance() throws Exception {
        Path file = folder.resolve("a.sql");
        Files.writeString(folder.resolve(".a.sql.new"), "half of someth");
        SafeFile.write(file, "whole");

        assertThat(file).hasContent("whole");
    }

    @Test
    void a_link_stays_one_and_a_file_keeps_its_mode() throws Exception {
        Path real = Files.writeString(folder.resolve("real.sql"), "old");
        Files.setPosixFilePermissions(real, PosixFilePermissions.fromString("rw-r-----"));
        Path link = Files.createSymbolicLink(folder.resolve("link.sql"), Path.of("real.sql"));
        SafeFile.write(link, "new");

        assertThat(link).isSymbolicLink();
        assertThat(real).hasContent("new");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(real)))
                .isEqualTo("rw-r-----");

        Path dangling = Files.createSymbolicLink(folder.resolve("dangling.sql"), Path.of("later.sql"));
        SafeFile.write(dangling, "made");
        assertThat(dangling).isSymbolicLink();
        assertThat(folder.resolve("later.sql")).hasContent("made");

        Path circle = Files.createSymbolicLink(folder.resolve("circle"), Path.of("circle"));
        assertThatThrownBy(() -> SafeFile.write(circle, "text")).hasMessageContaining("leads back to itself");
    }

    @Test
    void what_is_no_usual_file_is_written_to_as_it_is() throws Exception {
        Path pipe = folder.resolve("pipe");
        assertThat(new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor())
                .isZero();
        CompletableFuture<String> reader = CompletableFuture.supplyAsync(() -> read(pipe));
        SafeFile.write(pipe, "through");

        assertThat(reader.get(10, TimeUnit.SECONDS)).isEqualTo("through");
        assertThat(Files.isRegularFile(pipe)).isFalse();
        SafeFile.write(Path.of("/dev/null"), "away");
        assertThat(Files.isRegularFile(Path.of("/dev/null"))).isFalse();
        assertThatThrownBy(() -> SafeFile.write(Path.of("/dev/full"), "text"))
                .isInstanceOf(FileProblem.class)
                .hasMessageContaining("No space left");
        assertThatThrownBy(() -> SafeFile.write(Path.of(""), "text")).hasMessageContaining("the name is empty");
    }

    @Test
    void a_file_in_the_place_of_a_folder_is_refused() throws Exception {
        Path file = Files.writeString(folder.resolve("file"), "mine");

        assertThatThrownBy(() -> SafeFile.write(file.resolve("a.sql"), "text"))
                .isInstanceOf(FileProblem.class)
                .hasMessageContaining("cannot write");
        assertThat(file).hasContent("mine");
    }

    @Test
    void what_a_killed_saver_left_is_taken_away_and_nothing_else(@TempDir Path folder) throws Exception {
        String id = ".00000000-0000-4000-8000-000000000000.new";
        Path old = Files.writeString(folder.resolve(".a.json" + id), "half");
        Path fresh = Files.writeString(folder.resolve(".a.json" + id.replace("4000", "4001")), "half");
        Path other = Files.writeString(folder.resolve(".b.json" + id), "half");
        Path named = Files.writeString(folder.resolve(".a.json.mine.new"), "whole");
        for (Path each : List.of(old, other, named)) {
            Files.setLastModifiedTime(each, FileTime.from(Instant.now().minus(Duration.ofHours(2))));
        }
        SafeFile.write(folder.resolve("a.json"), "{}");

        assertThat(old).doesNotExist();
        assertThat(List.of(fresh, other, named)).allMatch(Files::exists);
    }
}
