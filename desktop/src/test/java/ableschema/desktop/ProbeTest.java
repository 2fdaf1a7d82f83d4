package ableschema.desktop;

class ProbeTest {
    @org.junit.jupiter.api.Test
    void x() {}
}
