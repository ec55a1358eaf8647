using System.Collections.Concurrent;
using System.Security.Cryptography;
using System.Text;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Walk;
using FaithfulBracket.Store;

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
internal sealed class JobShells(JobStamps stamps, JobPlans plans, SignOffs signOffs, JobEntries entries)
{
    private const int MaxKept = 500;

    private readonly ConcurrentDictionary<long, JobShell> _kept = new();

    /// <summary>The state of everything that is shown of a job, as a short text.</summary>
    /// <exception cref="NotFoundException">No such job.</exception>
    public string Tag(long id) =>
        Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(stamps.ComputeShown(id))).AsSpan(0, 12));

    /// <param name="tag">As it was told just before.</param>
    public JobShell Find(long id, string tag, CancellationToken cancel)
    {
        if (_kept.TryGetValue(id, out var kept) && kept.Tag == tag)
            return kept;
        var planned = plans.Get(id, cancel);
        var read = SignOffService.Read(planned.Plan, signOffs.Events(id));
        var plan = plans.Stands(planned, StepStands.Signed(read)).Plan;
        var stands = StepStands.Compute(plan.Steps, read, planned.Documents);
        var (row, kind) = (planned.Row, JobKinds.Classify(planned.Order));
        var shell = new JobShell(
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
        if (_kept.Count > MaxKept)
            _kept.Clear();
        _kept[id] = shell;
        return shell;
    }
}
