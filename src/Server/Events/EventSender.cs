using System.Net.Http.Headers;
using System.Text;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Events;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Events;

/// <summary>
/// Sends what happened to the address of the shop's other tools, again and later each time it does not arrive, and gives up
/// after a day and a half. Off until somebody names an address and turns it on.
/// </summary>
internal sealed class EventSender(
    ShopDatabase database,
    ShopEvents events,
    EventFinder finder,
    ShopSecrets secrets,
    ShopChanges changes,
    TimeProvider time,
    IConfiguration configuration,
    ILogger<EventSender> log
) : BackgroundService
{
    public const string Secret = "events";

    public const int SecretBytes = 32;

    /// <summary>So many are sent in one go.</summary>
    private const int MaxAtOnce = 20;

    /// <summary>How long it looks at most between two changes: what is late becomes so by the clock.</summary>
    private static readonly TimeSpan Look = TimeSpan.FromSeconds(5),
        MaxAnswer = TimeSpan.FromSeconds(10);

    /// <summary>How long it waits after each try that failed, in units of the first wait.</summary>
    private static readonly int[] Waits = [1, 6, 30, 180, 720, 2160, 8640];

    private readonly TimeSpan _first = TimeSpan.FromSeconds(configuration.GetValue<double?>("event-retry-s") ?? 10);

    private readonly HttpClient _http = new(
        new SocketsHttpHandler
        {
            AllowAutoRedirect = false,
            UseProxy = false,
            UseCookies = false,
        }
    )
    {
        Timeout = MaxAnswer,
    };

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        if (database.ReadOnly)
            return;
        while (!stoppingToken.IsCancellationRequested)
        {
            var next = changes.Next;
            try
            {
                if (events.Target() is { IsOpen: true } target)
                {
                    finder.Look(target);
                    foreach (var due in events.Due(MaxAtOnce))
                        await SendAsync(target, due.Id, due.Tries, due.Body, stoppingToken);
                }
            }
            catch (Exception e) when (e is not OperationCanceledException)
            {
                log.LogWarning(e, "Events could not be looked for; they are in a moment");
            }
            await Task.WhenAny(next, Task.Delay(_first < Look ? _first : Look, time, stoppingToken));
        }
    }

    private async Task SendAsync(EventTarget target, long id, long tries, string text, CancellationToken stopping)
    {
        var (arrived, answer) = await AskAsync(target, text, stopping);
        var again = arrived || tries >= Waits.Length ? (TimeSpan?)null : _first * Waits[tries];
        events.Sent(id, arrived, answer, again);
    }

    private async Task<(bool Arrived, string Answer)> AskAsync(
        EventTarget target,
        string text,
        CancellationToken stopping
    )
    {
        var address = new Uri(target.Address);
        var body = Encoding.UTF8.GetBytes(text);
        using var request = new HttpRequestMessage(HttpMethod.Post, address);
        request.Content = new ByteArrayContent(body);
        request.Content.Headers.ContentType = new MediaTypeHeaderValue(EventSignature.MediaType);
        foreach (
            var (name, value) in EventSignature.Headers(
                address,
                body,
                secrets.Get(Secret, SecretBytes),
                time.GetUtcNow()
            )
        )
            _ = name.StartsWith("Content-", StringComparison.Ordinal)
                ? request.Content.Headers.TryAddWithoutValidation(name, value)
                : request.Headers.TryAddWithoutValidation(name, value);
        try
        {
            // what it says beside its status is not read
            using var answer = await _http.SendAsync(request, HttpCompletionOption.ResponseHeadersRead, stopping);
            return (answer.IsSuccessStatusCode, EventSenderWords.Answered((int)answer.StatusCode));
        }
        catch (HttpRequestException e)
        {
            return (false, EventSenderWords.NotReached(e.HttpRequestError));
        }
        catch (OperationCanceledException) when (!stopping.IsCancellationRequested)
        {
            return (false, EventSenderWords.NoAnswerWithin((int)MaxAnswer.TotalSeconds));
        }
    }

    public override void Dispose()
    {
        _http.Dispose();
        base.Dispose();
    }
}
