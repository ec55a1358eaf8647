using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text;
using System.Text.Json;

namespace FaithfulBracket.Server.Tests;

/// <summary>The real server in its own process on a real SQLite file, spoken to over real HTTP.</summary>
public sealed class ServerProcess : IDisposable
{
    private Process _process;

    public ServerProcess(string? data = null, bool demo = true)
    {
        Data = data ?? Directory.CreateTempSubdirectory("fb-").FullName;
        Demo = demo;
        Http = new();
        _process = Start();
    }

    public static string Root { get; } = FindRoot();

    public string Data { get; }

    public bool Demo { get; }

    public HttpClient Http { get; private set; }

    /// <summary>Ends the process at once, as a power cut would, and starts it again on the same file.</summary>
    public void KillAndRestart()
    {
        Kill();
        _process = Start();
    }

    public void Kill()
    {
        _process.Kill(entireProcessTree: true);
        _process.WaitForExit();
    }

    public Task<HttpResponseMessage> PostAsync(string path, string body, string? ifMatch = null) =>
        SendAsync(HttpMethod.Post, path, body, ifMatch);

    public async Task<HttpResponseMessage> SendAsync(
        HttpMethod method,
        string path,
        string? body,
        string? ifMatch = null
    )
    {
        using var request = new HttpRequestMessage(method, path);
        if (body is not null)
            request.Content = new StringContent(body, Encoding.UTF8, "application/json");
        if (ifMatch is not null)
            request.Headers.TryAddWithoutValidation("If-Match", $"\"{ifMatch}\"");
        return await Http.SendAsync(request);
    }

    public async Task<JsonElement> GetAsync(string path) => await Http.GetFromJsonAsync<JsonElement>(path);

    public static async Task<JsonElement> JsonAsync(HttpResponseMessage response) =>
        JsonDocument.Parse(await response.Content.ReadAsStringAsync()).RootElement;

    public static string DemoFile(string name) => File.ReadAllText(Path.Combine(Root, "demo", name));

    public void Dispose()
    {
        if (!_process.HasExited)
            Kill();
        _process.Dispose();
        Http.Dispose();
        Directory.Delete(Data, recursive: true);
    }

    private Process Start()
    {
        var port = FreePort();
        Http.Dispose();
        Http = new() { BaseAddress = new($"http://127.0.0.1:{port}"), Timeout = TimeSpan.FromSeconds(60) };
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true, RedirectStandardError = true };
        foreach (
            var a in (string[])
                [
                    Path.Combine(AppContext.BaseDirectory, "FaithfulBracket.Server.dll"),
                    "--urls",
                    $"http://127.0.0.1:{port}",
                    "--data",
                    Data,
                ]
        )
            start.ArgumentList.Add(a);
        if (Demo)
        {
            start.ArgumentList.Add("--demo");
            start.ArgumentList.Add(Path.Combine(Root, "demo"));
        }
        var process = Process.Start(start)!;
        var ready = new TaskCompletionSource();
        process.OutputDataReceived += (_, e) =>
        {
            if (e.Data?.Contains("Application started", StringComparison.Ordinal) == true)
                ready.TrySetResult();
        };
        process.Exited += (_, _) =>
            ready.TrySetException(new InvalidOperationException("the server ended while starting"));
        process.EnableRaisingEvents = true;
        process.BeginOutputReadLine();
        process.BeginErrorReadLine();
        ready.Task.Wait(TimeSpan.FromSeconds(60));
        return process;
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    private static string FindRoot()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(at.FullName, "run")))
            at = at.Parent ?? throw new DirectoryNotFoundException("the house is not above the tests");
        return at.FullName;
    }
}

/// <summary>One server with the demo shop for all tests of a class.</summary>
public sealed class DemoServer : IDisposable
{
    public ServerProcess Server { get; } = new();

    public void Dispose() => Server.Dispose();
}
