using System.Text.Json;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Events;

/// <summary>Finds what happened since the last look and was not told yet. Bodies are events by CloudEvents 1.0, in JSON.</summary>
internal sealed class EventFinder(ShopEvents events, LibraryCache shop, TimeProvider time)
{
    public void Look(EventTarget target)
    {
        var found = new List<NewShopEvent>();
        void Jobs(string kind, Func<string, IReadOnlyList<HappenedJob>> jobs, Func<HappenedJob, string> subject)
        {
            if (target.Kinds.Contains(kind))
                found.AddRange(
                    jobs(kind)
                        .Select(j =>
                            Create(
                                kind,
                                subject(j),
                                $"jobs/{j.Id}",
                                new
                                {
                                    job = j.Id,
                                    title = j.Title,
                                    bench = j.Bench,
                                    dueAt = j.DueAt,
                                }
                            )
                        )
                );
        }
        Jobs(EventKinds.Opened, k => events.Opened(k, target.Since), j => $"{j.Id}");
        Jobs(EventKinds.Finished, k => events.Finished(k, target.Since), j => $"{j.Id}");
        // a job that gets another promise can be late again
        Jobs(EventKinds.Late, events.Late, j => $"{j.Id} {j.DueAt}");
        var low = target.Kinds.Contains(EventKinds.Low) ? shop.Drawer.Low() : [];
        var fresh = events.NewlyLow([.. low.Select(l => l.Id)]);
        found.AddRange(
            low.Where(l => fresh.Contains(l.Id))
                .Select(l =>
                    Create(
                        EventKinds.Low,
                        $"{l.Id} {time.GetUtcNow().UtcDateTime:O}",
                        $"inventory/{l.Id}",
                        new
                        {
                            item = l.Id,
                            name = l.Name,
                            left = l.Left,
                            lowAt = l.LowAt,
                            unit = l.Unit,
                        }
                    )
                )
        );
        List<string> ids = [.. low.Select(l => l.Id)];
        if (found.Count > 0 || events.LowChanged(ids))
            events.Add(found, ids);
    }

    /// <summary>One that says only that the address is reached.</summary>
    public void Test() =>
        events.Add(
            [Create(EventKinds.Test, $"{Guid.NewGuid()}", "test", new { })],
            [.. shop.Drawer.Low().Select(l => l.Id)]
        );

    private NewShopEvent Create(string kind, string subject, string about, object data) =>
        new(
            kind,
            subject,
            JsonSerializer.Serialize(
                new
                {
                    specversion = "1.0",
                    id = Guid.CreateVersion7(),
                    source = "faithful-bracket",
                    type = kind,
                    subject = about,
                    time = time.GetUtcNow().UtcDateTime,
                    datacontenttype = "application/json",
                    data,
                }
            )
        );
}
