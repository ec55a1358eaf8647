using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>A document that was kept anew since an open job was planned from it.</summary>
/// <param name="Kind">board, block, card, socket or machine.</param>
/// <param name="Name">As people call it.</param>
/// <param name="Held">The version that the job rests on.</param>
/// <param name="Newest">The version that is offered.</param>
/// <param name="By">Who kept it; null where nobody said.</param>
/// <param name="At">When it was kept.</param>
internal sealed record NewerDocument(
    string Kind,
    string Id,
    string Name,
    long Held,
    long Newest,
    string? By,
    string At
);

/// <param name="Changed">What taking it would change in the plan; empty where it changes nothing.</param>
/// <param name="LookAgain">Signed steps that would have to be looked at again.</param>
internal sealed record OfferedDocument(NewerDocument Document, IReadOnlyList<string> Changed, int LookAgain);

/// <summary>What is offered to open jobs in place of the versions that they rest on.</summary>
internal sealed class NewerDocuments(HeldDocuments held, LibraryCache shop, JobPlans plans, SignOffs signOffs)
{
    /// <param name="order">The job's; null where it cannot be put together: then everything that is held is told.</param>
    public IReadOnlyList<NewerDocument> Find(long id, WorkOrder? order)
    {
        var sockets = order?.Pieces.Select(p => p.Seated?.Socket.Id).ToHashSet();
        return
        [
            .. held.List(id)
                .Where(h => h.Kind != "socket" || sockets?.Contains(h.Id) != false)
                .OrderBy(h => h.Kind, StringComparer.Ordinal)
                .ThenBy(h => h.Id, StringComparer.Ordinal)
                .Select(h => new NewerDocument(h.Kind, h.Id, Name(h), h.Version, h.Newest, h.By, h.At)),
        ];
    }

    /// <summary>What is offered, each with what it alone would change.</summary>
    public IReadOnlyList<OfferedDocument> Offered(long id, CancellationToken cancel)
    {
        PlannedJob? job = null;
        try
        {
            job = plans.Get(id, cancel);
        }
        // a version that does not read any more can still be left for the newest
        catch (NotFoundException) { }
        if (job?.Finished == true)
            return [];
        return
        [
            .. Find(id, job?.Order)
                .Select(d => new OfferedDocument(
                    d,
                    job is null || Newest(d.Kind, d.Id) is not { } newest
                        ? []
                        : Consequences.Compute(
                            () => job.Plan,
                            () => plans.With(id, new TriedDocument(d.Id, newest), cancel)
                        ),
                    job is null ? 0 : LookAgain(job, d)
                )),
        ];
    }

    private int LookAgain(PlannedJob job, NewerDocument newer)
    {
        var read = SignOffService.Read(job.Plan, signOffs.Events(job.Row.Id));
        int Count(IReadOnlyList<DocumentStand> documents) =>
            StepStands.Compute([.. job.Plan.Steps], read, documents).Count(s => s.LookAgain);
        return Count([.. job.Documents.Select(d => d.Id == newer.Id ? d with { Digest = "newest" } : d)])
            - Count(job.Documents);
    }

    private object? Newest(string kind, string id) =>
        kind switch
        {
            "board" => shop.Boards.GetValueOrDefault(id),
            "block" => shop.Blocks.GetValueOrDefault(id),
            "card" => shop.Cards.GetValueOrDefault(id),
            "socket" => shop.Sockets.GetValueOrDefault(id),
            _ => shop.Machines.GetValueOrDefault(id),
        };

    private string Name(HeldDocument h) =>
        h.Kind switch
        {
            "board" when shop.Boards.TryGetValue(h.Id, out var b) => BoardLabel.Format(b) is { Length: > 0 } label
                ? $"{b.Model}, {label}"
                : b.Model,
            "block" when shop.Blocks.TryGetValue(h.Id, out var b) => $"{b.Maker} {b.Model}",
            "card" when shop.Cards.TryGetValue(h.Id, out var c) => $"{c.Maker} {c.Model}",
            "socket" when shop.Sockets.TryGetValue(h.Id, out var s) => s.Name,
            "machine" when shop.Machines.TryGetValue(h.Id, out var m) => m.Name,
            _ => h.Id,
        };
}
