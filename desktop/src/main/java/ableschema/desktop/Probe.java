package ableschema.desktop;

final class Probe {
    private Probe() {}
}
