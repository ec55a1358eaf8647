using System.Diagnostics;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>One working default as it stands.</summary>
internal sealed record SettingView(
    string Key,
    string Name,
    string Group,
    string Unit,
    double Value,
    double Default,
    double Least,
    double Most,
    string Reason,
    IReadOnlyList<string>? Choices,
    SettingChangeRow? Last
);

/// <summary>How figures are written.</summary>
internal sealed record FiguresView(bool Comma, bool Inches);

internal sealed record SettingsView(IReadOnlyList<SettingView> Settings, IReadOnlyList<SettingChangeRow> History);

/// <summary>What a change would do to one open job.</summary>
internal sealed record JobConsequence(long JobId, string Title, IReadOnlyList<string> Changes);

/// <summary>One portion of the open jobs, the newest first; the next begins <c>before</c> the last of this one.</summary>
/// <param name="Looked">Open jobs of this portion, planned with the change.</param>
/// <param name="More">Open jobs that come after this portion.</param>
/// <param name="Last">The last job looked at; null where there was none.</param>
internal sealed record SettingConsequences(int Looked, int More, long? Last, IReadOnlyList<JobConsequence> Jobs);

/// <param name="Values">By key.</param>
/// <param name="Defaults">Keys that go back to their default.</param>
internal sealed record SettingsChange(
    IReadOnlyDictionary<string, double> Values,
    IReadOnlyList<string> Defaults,
    string Reason,
    string By
)
{
    /// <summary>Every setting named, null where it goes back to its default.</summary>
    public IReadOnlyList<NewSetting> All() =>
        [.. Values.Select(v => new NewSetting(v.Key, v.Value)), .. Defaults.Select(k => new NewSetting(k, null))];
}

/// <summary>Working defaults: one page, their history, and what a change does to open jobs before it is kept.</summary>
internal static class SettingEndpoints
{
    private const int MaxReason = 500;

    /// <summary>What one portion takes: the jobs that are left are asked for with the next.</summary>
    private static readonly TimeSpan Portion = TimeSpan.FromSeconds(1);

    public static void Map(IEndpointRouteBuilder app)
    {
        var queue = app.ServiceProvider.GetRequiredService<ConcurrencyLimiter>();
        var settings = app.MapGroup("/api/settings").WithTags("settings");
        settings.MapGet("", (Settings kept, LibraryCache shop) => TypedResults.Ok(View(kept, shop)));
        settings.MapPut("", ChangeAsync).Accepts<SettingsChange>("application/json");
        settings
            .MapPost("/try", TryAsync)
            .Accepts<SettingsChange>("application/json")
            .AddEndpointFilter(queue.QueueAsync);
        settings.MapGet(
            "/figures",
            (LibraryCache shop) => TypedResults.Ok(new FiguresView(shop.Figures.Comma, shop.Figures.Inches))
        );
        settings.MapGet(
            "/file",
            (LibraryCache shop) =>
                TypedResults.Ok(
                    new SettingsFile(
                        SettingsFile.Name,
                        1,
                        ShopSettingList.All.ToDictionary(s => s.Key, s => s.Get(shop.Settings))
                    )
                )
        );
    }

    private static SettingsView View(Settings kept, LibraryCache shop)
    {
        var history = kept.History();
        return new(
            [
                .. ShopSettingList.All.Select(s => new SettingView(
                    s.Key,
                    s.Name,
                    s.Group,
                    s.Unit,
                    s.Get(shop.Settings),
                    s.Default,
                    s.Least,
                    s.Most,
                    s.Reason,
                    s.Choices,
                    history.FirstOrDefault(h => h.Key == s.Key)
                )),
            ],
            history
        );
    }

    private static Task<SettingsChange> ReadAsync(HttpRequest request) =>
        Bodies.ReadAsync(
            request,
            o =>
            {
                var values = new Dictionary<string, double>();
                IReadOnlyList<string> defaults = o.Has("defaults") ? o.Texts("defaults") : [];
                foreach (var key in defaults.Where(k => !ShopSettingList.All.Any(s => s.Key == k)))
                    o.Fault("defaults", $"\"{key}\" is no setting.");
                var v = o.Object("values");
                foreach (var s in ShopSettingList.All.Where(s => v.Has(s.Key)))
                {
                    var value = v.Number(s.Key, s.Least, s.Most);
                    if (value >= s.Least && value <= s.Most && !s.Allows(value))
                        v.Fault(s.Key, $"Expected a whole number{(s.Unit is "" ? "" : $" of {s.Unit}")}.");
                    values[s.Key] = value;
                }
                v.End();
                if (values.Count + defaults.Count == 0)
                    o.Fault("values", SettingEndpointsWords.NameAtLeastOneSetting);
                return new SettingsChange(
                    values,
                    defaults,
                    o.OptionalText("reason", MaxReason) ?? "",
                    SheetEndpoints.By(o)
                );
            }
        );

    private static async Task<Ok<SettingsView>> ChangeAsync(HttpRequest request, Settings kept, LibraryCache shop)
    {
        var change = await ReadAsync(request);
        if (string.IsNullOrWhiteSpace(change.Reason))
            throw new InputException("/reason", SettingEndpointsWords.SayWhyItStaysWithSetting);
        kept.Put(change.All(), change.Reason, change.By);
        return TypedResults.Ok(View(kept, shop));
    }

    /// <summary>
    /// Plans open jobs with the change, those before the given one, the newest first, and says what comes out
    /// otherwise; keeps nothing. A portion looks at one job at least.
    /// </summary>
    private static async Task<Ok<SettingConsequences>> TryAsync(
        HttpRequest request,
        long? before,
        Settings kept,
        BenchSummaries summaries,
        JobPlans plans,
        CancellationToken cancel
    )
    {
        var change = await ReadAsync(request);
        var values = kept.Changed().ToDictionary();
        foreach (var (key, value) in change.All())
            if (value is { } v)
                values[key] = v;
            else
                values.Remove(key);
        var other = ShopSettingList.With(values);
        var open = summaries.Open().Where(j => before is null || j.Id < before).OrderByDescending(j => j.Id).ToList();
        var clock = Stopwatch.StartNew();
        var left = Portion - ConcurrencyLimiter.Waited(request.HttpContext);
        var looked = await Task.Run(
            () =>
                open.TakeWhile((_, i) => i == 0 || clock.Elapsed < left)
                    .Select(j => new JobConsequence(
                        j.Id,
                        j.Title,
                        Consequences.Compute(
                            () => plans.Today(j.Id, cancel).Plan,
                            () => plans.With(j.Id, other, cancel)
                        )
                    ))
                    .ToList(),
            cancel
        );
        return TypedResults.Ok(
            new SettingConsequences(
                looked.Count,
                open.Count - looked.Count,
                looked.Count > 0 ? looked[^1].JobId : null,
                [.. looked.Where(c => c.Changes.Count > 0)]
            )
        );
    }
}

/// <summary>All settings as a file.</summary>
internal sealed record SettingsFile(string Format, int Version, IReadOnlyDictionary<string, double> Values)
{
    public const string Name = "faithful-bracket/settings";
}
