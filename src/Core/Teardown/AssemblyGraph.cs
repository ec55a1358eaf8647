using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Teardown;

namespace FaithfulBracket.Core.Teardown;

/// <summary>Something that has to be done once: a fastener group out, a lead off, a piece lifted.</summary>
internal sealed record TeardownAct(TeardownAction Action, string Target, string? Driver, Face Face);

/// <summary>The stock assembly as acts and what has to come before each. At most 128 acts.</summary>
internal sealed class AssemblyGraph
{
    private const int MaxActs = TeardownPlanner.MaxActs;

    public IReadOnlyList<TeardownAct> Acts { get; }

    /// <summary>For each act the acts that must be done before it, as bits.</summary>
    public UInt128[] Before { get; }

    /// <summary>For each piece's lift the screws that hold it, as bits; nothing for any other act.</summary>
    public UInt128[] HeldBy { get; }

    private AssemblyGraph(IReadOnlyList<TeardownAct> acts)
    {
        Acts = acts;
        Before = new UInt128[acts.Count];
        HeldBy = new UInt128[acts.Count];
    }

    /// <summary>Pieces that no screw holds any more and that are not lifted yet.</summary>
    /// <param name="done">Acts done, one bit each.</param>
    public int Loose(UInt128 done)
    {
        var loose = 0;
        for (var i = 0; i < HeldBy.Length; i++)
            if (HeldBy[i] != 0 && (HeldBy[i] & ~done) == 0 && (done >> i & 1) == 0)
                loose++;
        return loose;
    }

    /// <exception cref="InputException">Unknown ids, too many acts, or acts that wait for each other.</exception>
    public static AssemblyGraph Create(Assembly assembly, Loosening loosening = Loosening.RingLast)
    {
        // screws before leads before lifts where nothing else decides
        var source = assembly;
        assembly = Staying.Without(source);
        List<TeardownAct> acts =
        [
            .. assembly.Fasteners.Select(f => new TeardownAct(TeardownAction.Unscrew, f.Id, f.Driver, f.Face)),
            .. assembly.Leads.Select(l => new TeardownAct(TeardownAction.Unplug, l.Id, null, l.Face)),
            .. assembly
                .Pieces.Where(p => p.Id != Assembly.BoardId)
                .Select(p => new TeardownAct(TeardownAction.Lift, p.Id, null, p.Face)),
        ];
        if (acts.Count > MaxActs)
            throw new InputException(
                "board/assembly",
                AssemblyGraphWords.ScrewGroupsLeadsAndPieces(acts.Count, MaxActs)
            );
        var graph = new AssemblyGraph(acts);
        var index = acts.Select((a, i) => (a.Target, i)).ToDictionary(x => x.Target, x => x.i);
        var faults = new List<InputFault>();
        void Add(string first, string second, string pointer)
        {
            if (!index.TryGetValue(first, out var f))
                faults.Add(new(pointer, AssemblyGraphWords.IsNotPieceFastenerGroup(first)));
            else if (!index.TryGetValue(second, out var s))
                faults.Add(new(pointer, AssemblyGraphWords.IsNotPieceFastenerGroup(second)));
            else
                graph.Before[s] |= UInt128.One << f;
        }
        // faults point into the document as it stands
        for (var i = 0; i < source.Fasteners.Count; i++)
        {
            if (assembly.Fasteners.FirstOrDefault(x => x.Id == source.Fasteners[i].Id) is not { } f)
                continue;
            if (f.HiddenBy is { } cover)
                Add(cover, f.Id, $"board/assembly/fasteners/{i}/hiddenBy");
            foreach (var p in f.Joins.Where(p => p != Assembly.BoardId))
            {
                Add(f.Id, p, $"board/assembly/fasteners/{i}/joins");
                if (index.TryGetValue(p, out var held))
                    graph.HeldBy[held] |= UInt128.One << index[f.Id];
            }
        }
        for (var i = 0; i < source.Leads.Count; i++)
        {
            if (assembly.Leads.FirstOrDefault(x => x.Id == source.Leads[i].Id) is not { } l)
                continue;
            if (l.HiddenBy is { } cover)
                Add(cover, l.Id, $"board/assembly/leads/{i}/hiddenBy");
            foreach (var p in l.Between.Where(p => p != Assembly.BoardId))
                Add(l.Id, p, $"board/assembly/leads/{i}/between");
        }
        for (var i = 0; i < source.After.Count; i++)
            if (assembly.After.Contains(source.After[i]))
                Add(source.After[i].First, source.After[i].Second, $"board/assembly/after/{i}");
        if (faults.Count > 0)
            throw new InputException(faults);
        graph.OrderRing(assembly, loosening);
        graph.RefuseCycles();
        return graph;
    }

    /// <summary>
    /// The ring round the die after its peers on the same piece, or before them from the core outward, unless the assembly
    /// itself demands the other.
    /// </summary>
    private void OrderRing(Assembly assembly, Loosening loosening)
    {
        var fasteners = assembly.Fasteners;
        for (var r = 0; r < fasteners.Count; r++)
        {
            if (!Rings.IsRing(fasteners[r]))
                continue;
            for (var p = 0; p < fasteners.Count; p++)
            {
                if (!Rings.ArePeers(fasteners[r], fasteners[p]))
                    continue;
                var (first, second) = loosening == Loosening.RingLast ? (p, r) : (r, p);
                if (!MustPrecede(second, first))
                    Before[second] |= UInt128.One << first;
            }
        }
    }

    /// <summary>Whether <paramref name="first"/> comes before <paramref name="second"/> along some chain.</summary>
    private bool MustPrecede(int first, int second)
    {
        UInt128 seen = 0,
            open = Before[second];
        while (open != 0)
        {
            var i = (int)UInt128.TrailingZeroCount(open);
            if (i == first)
                return true;
            seen |= UInt128.One << i;
            open = (open | Before[i]) & ~seen;
        }
        return false;
    }

    private void RefuseCycles()
    {
        UInt128 done = 0;
        for (var progress = true; progress; )
        {
            progress = false;
            for (var i = 0; i < Acts.Count; i++)
            {
                if ((done >> i & 1) != 0 || (Before[i] & ~done) != 0)
                    continue;
                done |= UInt128.One << i;
                progress = true;
            }
        }
        var stuck = Enumerable
            .Range(0, Acts.Count)
            .Where(i => (done >> i & 1) == 0)
            .Select(i => Acts[i].Target)
            .ToList();
        if (stuck.Count > 0)
            throw new InputException(
                "board/assembly",
                AssemblyGraphWords.TheseWaitForEachOther(string.Join(", ", stuck))
            );
    }
}
