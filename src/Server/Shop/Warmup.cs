using System.Text.Json;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;

namespace FaithfulBracket.Server.Shop;

/// <summary>
/// Goes the way of the first pages before anybody asks for them: what the runtime compiles at the first call is
/// compiled then. Both cores are free at a start; a page asked for at once would find it all to do, and several at
/// once would stand in each other's way.
/// </summary>
internal sealed class Warmup(
    JobViews views,
    BenchSummaries summaries,
    DayService day,
    LibraryCache shop,
    IOptions<JsonOptions> json,
    ILogger<Warmup> log
)
{
    /// <summary>How long the address waits for it; what is left goes on beside the first pages.</summary>
    private static readonly TimeSpan Most = TimeSpan.FromSeconds(1);

    /// <summary>
    /// With more open jobs the day takes seconds, which the first pages would have to share the cores with.
    /// </summary>
    private const int MaxInDay = 200;

    public void Take()
    {
        // a record that cannot be read is told where it is asked for
        Task.WaitAll([Task.Run(() => Look(Job)), Task.Run(() => Look(Bench))], Most);
    }

    private void Look(Action at)
    {
        try
        {
            at();
        }
        catch (Exception e)
        {
            log.LogDebug(e, "The first look did not come through");
        }
    }

    private void Job()
    {
        if (summaries.Shown().Where(j => !j.Finished).MaxBy(j => j.Id) is { } newest)
            Write(views.View(newest.Id, CancellationToken.None));
    }

    private void Bench()
    {
        var shown = summaries.Shown();
        Write(shown);
        if (shown.Count(j => !j.Finished) > MaxInDay)
            return;
        var plan = day.Quick(CancellationToken.None);
        Write(plan);
        Write(day.Orders(plan));
        Write(shop.Boards.Values.FirstOrDefault());
    }

    private void Write<T>(T value) => JsonSerializer.Serialize(Stream.Null, value, json.Value.SerializerOptions);
}
