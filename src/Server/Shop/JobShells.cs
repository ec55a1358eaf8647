using System.Collections.Concurrent;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Walk;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;

namespace FaithfulBracket.Server.Shop;

/// <summary>What a page needs at once of a job, and what it looks at again: its head, its route, its steps as they stand.</summary>
/// <param name="Tag">Another one than that of the whole job: something of it changed.</param>
internal sealed record JobShell(
    long Id,
    string Title,
    string? Client,
    string Bench,
    long Version,
    bool Finished,
    bool Archived,
    JobKind Kind,
    string KindName,
    string BoardName,
    string? BlockName,
    IReadOnlyList<StationState> Route,
    IReadOnlyList<StepStand> Steps,
    IReadOnlyList<RunningTimer> Timers,
    string Tag
);

/// <summary>Shells of jobs, each kept until something that is shown of the job changes.</summary>
internal sealed class JobShells(
    ShopDatabase database,
    JobStamps stamps,
    JobPlans plans,
    SignOffs signOffs,
    JobEntries entries,
    IOptions<JsonOptions> json
) : IDisposable
{
    private const int MaxKept = 500;

    private readonly ConcurrentDictionary<long, (string Tag, byte[] Json)> _kept = new();
    private readonly Lock _lock = new();
    private readonly CommitWatch _watch = new(database);

    /// <summary>Tags calculated since the last commit. A commit puts another one in its place and never empties it.</summary>
    private ConcurrentDictionary<long, string> _tags = new();

    /// <summary>The state of everything that is shown of a job, as a short text.</summary>
    /// <exception cref="NotFoundException">No such job.</exception>
    public string Tag(long id)
    {
        ConcurrentDictionary<long, string> tags;
        lock (_lock)
        {
            if (_watch.Changed())
                _tags = new();
            // a tag that a commit overtakes is written into those of before it
            tags = _tags;
        }
        if (tags.TryGetValue(id, out var known))
            return known;
        var shown = Encoding.UTF8.GetBytes(stamps.ComputeShown(id));
        return tags[id] = Convert.ToHexStringLower(SHA256.HashData(shown).AsSpan(0, 12));
    }

    public void Dispose() => _watch.Dispose();

    /// <summary>A shell as it is sent.</summary>
    /// <param name="tag">As it was told just before.</param>
    public byte[] Find(long id, string tag, CancellationToken cancel)
    {
        if (_kept.TryGetValue(id, out var kept) && kept.Tag == tag)
            return kept.Json;
        var sent = JsonSerializer.SerializeToUtf8Bytes(Create(id, tag, cancel), json.Value.SerializerOptions);
        if (_kept.Count > MaxKept)
            _kept.Clear();
        _kept[id] = (tag, sent);
        return sent;
    }

    private JobShell Create(long id, string tag, CancellationToken cancel)
    {
        var planned = plans.Get(id, cancel);
        var read = SignOffService.Read(planned.Plan, signOffs.Events(id));
        var plan = plans.Stands(planned, StepStands.Signed(read)).Plan;
        var stands = StepStands.Compute(plan.Steps, read, planned.Documents);
        var (row, kind) = (planned.Row, JobKinds.Classify(planned.Order));
        return new(
            id,
            row.Title,
            row.Client,
            row.Bench,
            row.Version,
            planned.Finished,
            row.ArchivedAt is not null,
            kind,
            JobKinds.Words(kind),
            OrderNames.Boards(planned.Order),
            OrderNames.Blocks(planned.Order),
            RouteCard.Create(plan, stands),
            stands,
            JobViews.Timers(entries.Running(id)),
            tag
        );
    }
}
