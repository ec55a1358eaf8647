namespace FaithfulBracket.Server.Tests;

/// <summary>One server with the demo shop for all tests of a class.</summary>
public sealed class DemoServer : IDisposable
{
    public ServerProcess Server { get; } = new();

    public void Dispose() => Server.Dispose();
}
