namespace FaithfulBracket.Core.Words.Teardown;

/// <summary>Sentences of assembly graph.</summary>
internal static class AssemblyGraphWords
{
    public static string ScrewGroupsLeadsAndPieces(int actCount, int mostActs) =>
        $"{actCount} screw groups, leads and pieces; at most {mostActs} can be planned.";

    public static string IsNotPieceFastenerGroup(string first) =>
        $"\"{first}\" is not a piece, fastener group or lead of this assembly.";

    public static string BoardAssemblyFastenersHiddenBy(int i) => $"board/assembly/fasteners/{i}/hiddenBy";

    public static string BoardAssemblyFastenersJoins(int i) => $"board/assembly/fasteners/{i}/joins";

    public static string BoardAssemblyLeadsHiddenBy(int i) => $"board/assembly/leads/{i}/hiddenBy";

    public static string BoardAssemblyLeads(int i) => $"board/assembly/leads/{i}/between";

    public static string TheseWaitForEachOther(string stuck) =>
        $"These wait for each other and can never start: {stuck}. Check hiddenBy and after.";
}
