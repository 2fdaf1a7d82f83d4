package ableschema.cli; final class Probe { private Probe() {} }
