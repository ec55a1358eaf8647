using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json;

namespace FaithfulBracket.Server.Tests;

/// <summary>The real server in its own process on a real SQLite file, spoken to over real HTTP.</summary>
public sealed class ServerProcess : IDisposable
{
    private Process _process;

    private readonly int? _mostMb;
    private readonly bool _ownData,
        _readOnly,
        _lan,
        _firstLook;

    private readonly string? _zone;
    private readonly string[] _more;

    /// <summary>Where tablets ask; null while the network is not served.</summary>
    public Uri? Lan { get; private set; }

    /// <param name="mostMb">What its database may grow to.</param>
    /// <param name="firstLook">
    /// Whether it calculates its first pages before it says where it is, as it does for everybody.
    /// </param>
    /// <param name="zone">The workshop's time zone; the machine's when null.</param>
    /// <param name="more">Further words of its command line.</param>
    /// <param name="lan">Whether the shop's network is served too, over HTTPS on a free port.</param>
    public ServerProcess(
        string? data = null,
        bool demo = true,
        int? mostMb = null,
        bool readOnly = false,
        bool lan = false,
        bool firstLook = false,
        string? zone = null,
        params string[] more
    )
    {
        _more = more;
        (_lan, _firstLook, _zone) = (lan, firstLook, zone);
        (_mostMb, _ownData, _readOnly) = (mostMb, data is null, readOnly);
        Data = data ?? Directory.CreateTempSubdirectory("fb-").FullName;
        Demo = demo;
        Http = new();
        if (data is null && demo && Seed is { } seed)
            Copy(seed, Data);
        _process = Start();
    }

    /// <summary>A demo shop filled once, to begin from; filled anew by every server when the run gave none.</summary>
    private static string? Seed =>
        Environment.GetEnvironmentVariable("FB_SEED") is { Length: > 0 } s && Directory.Exists(s) ? s : null;

    /// <summary>The published server: where the run says, else where it publishes.</summary>
    private static string App =>
        Environment.GetEnvironmentVariable("FB_APP") is { Length: > 0 } s && Directory.Exists(s)
            ? s
            : Path.Combine(Root, ".run", "app");

    /// <summary>What is started.</summary>
    public static string Dll => Path.Combine(App, "FaithfulBracket.Server.dll");

    private static void Copy(string from, string to)
    {
        foreach (var file in Directory.EnumerateFiles(from, "*", SearchOption.AllDirectories))
        {
            var target = Path.Combine(to, Path.GetRelativePath(from, file));
            Directory.CreateDirectory(Path.GetDirectoryName(target)!);
            File.Copy(file, target);
        }
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
        if (_ownData)
            Directory.Delete(Data, recursive: true);
    }

    /// <summary>The server takes a free port itself and says which: nobody else can be given it in between.</summary>
    private Process Start()
    {
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true, RedirectStandardError = true };
        if (_zone is not null)
            start.Environment["TZ"] = _zone;
        foreach (
            var a in (string[])[Dll, "--urls", "http://127.0.0.1:0", "--data", Data, "--first-look", $"{_firstLook}"]
        )
            start.ArgumentList.Add(a);
        foreach (var a in _more)
            start.ArgumentList.Add(a);
        if (_mostMb is { } mb)
        {
            start.ArgumentList.Add("--most-mb");
            start.ArgumentList.Add(mb.ToString(System.Globalization.CultureInfo.InvariantCulture));
        }
        if (_readOnly)
        {
            start.ArgumentList.Add("--read-only");
            start.ArgumentList.Add("true");
        }
        if (_lan)
            foreach (var a in (string[])["--lan", "true", "--lan-port", "0"])
                start.ArgumentList.Add(a);
        if (Demo)
        {
            start.ArgumentList.Add("--demo");
            start.ArgumentList.Add(Path.Combine(Root, "demo"));
        }
        const string says = "Now listening on: ";
        var process = new Process { StartInfo = start, EnableRaisingEvents = true };
        var address = new TaskCompletionSource<Uri>(TaskCreationOptions.RunContinuationsAsynchronously);
        var lan = new TaskCompletionSource<Uri?>(TaskCreationOptions.RunContinuationsAsynchronously);
        if (!_lan)
            lan.SetResult(null);
        process.OutputDataReceived += (_, e) =>
        {
            if (e.Data?.IndexOf(says, StringComparison.Ordinal) is not (>= 0 and var at))
                return;
            var said = new Uri(e.Data[(at + says.Length)..].Trim());
            if (said.Scheme == "https")
                lan.TrySetResult(new($"https://127.0.0.1:{said.Port}"));
            else
                address.TrySetResult(said);
        };
        process.Exited += (_, _) =>
            address.TrySetException(new InvalidOperationException("the server ended while starting"));
        process.Start();
        process.BeginOutputReadLine();
        process.BeginErrorReadLine();
        if (!Task.WaitAll([address.Task, lan.Task], TimeSpan.FromSeconds(120)))
            throw new TimeoutException("the server did not say where it listens");
        Http.Dispose();
        Lan = lan.Task.Result;
        Http = new() { BaseAddress = address.Task.Result, Timeout = TimeSpan.FromSeconds(120) };
        return process;
    }

    private static string FindRoot()
    {
        var at = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(at, "FaithfulBracket.slnx")))
            at = Path.GetDirectoryName(at) ?? throw new InvalidOperationException("the house was not found");
        return at;
    }
}
