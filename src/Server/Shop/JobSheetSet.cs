using System.Text.Json;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Pads.Cutting;
using FaithfulBracket.Core.Pads.Stock;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Prove.Faults;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>A look at one part, kept in its job.</summary>
/// <param name="Board">Key of the board; null for the first.</param>
internal sealed record KeptLook(string Part, ImprintMark Mark, string? Board = null);

/// <param name="Complaint">Die, memory or power stage; null for none.</param>
internal sealed record KeptProof(PartKind? Complaint, IReadOnlyList<SensorOffset> Offsets);

/// <summary>The sheets of a job as Core types, with the version of each.</summary>
internal sealed record JobSheetSet
{
    public const string WaysKind = "ways",
        CuttingKind = "cutting",
        AsFoundKind = "as-found",
        AssemblyKind = "assembly",
        OrderKind = "order",
        ImprintKind = "imprint",
        ProofKind = "proof";

    /// <summary>Way chosen for each question on which installers disagree.</summary>
    public IReadOnlyDictionary<string, string> Ways { get; private init; } = new Dictionary<string, string>();
    public BegunCutting? Cutting { get; private init; }
    public IReadOnlyList<AsFoundPad> AsFound { get; private init; } = [];

    /// <summary>The assembly as it was recorded in this job; null where the board's own stands.</summary>
    public Assembly? Assembly { get; private init; }

    /// <summary>Teardown order somebody chose.</summary>
    public IReadOnlyList<string>? Order { get; private init; }

    /// <summary>What parts showed when they were looked at.</summary>
    public IReadOnlyList<KeptLook> Imprint { get; private init; } = [];

    /// <summary>What was complained of, and what the sensors are known to be off by.</summary>
    public KeptProof Proof { get; private init; } = new(null, []);

    /// <summary>Version of each sheet; 0 where there is none.</summary>
    public IReadOnlyDictionary<string, long> Versions { get; private init; } = new Dictionary<string, long>();

    /// <summary>Changes whenever any sheet does.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string Key => string.Join(',', Versions.Select(v => $"{v.Key}{v.Value}"));

    public long VersionOf(string kind) => Versions.GetValueOrDefault(kind);

    public static JobSheetSet From(IReadOnlyList<JobSheetRow> rows)
    {
        T? Read<T>(string kind) =>
            rows.FirstOrDefault(r => r.Kind == kind) is { } row
                ? JsonSerializer.Deserialize<T>(row.Content, DocumentJson.Options)
                : default;
        return new()
        {
            Ways = Read<Dictionary<string, string>>(WaysKind) ?? [],
            Cutting = Read<BegunCutting>(CuttingKind),
            AsFound = Read<List<AsFoundPad>>(AsFoundKind) ?? [],
            Assembly = Read<Assembly>(AssemblyKind),
            Order = Read<List<string>>(OrderKind) is { Count: > 0 } order ? order : null,
            Imprint = Read<List<KeptLook>>(ImprintKind) ?? [],
            Proof = Read<KeptProof>(ProofKind) ?? new(null, []),
            Versions = rows.ToDictionary(r => r.Kind, r => r.Version),
        };
    }
}
