namespace FaithfulBracket.Core.Words.Teardown;

/// <summary>Sentences of assembly graph.</summary>
internal static class AssemblyGraphWords
{
    public static Message ScrewGroupsLeadsAndPieces(int actCount, int maxActs) =>
        $"{actCount} screw groups, leads and pieces; at most {maxActs} can be planned.";

    public static Message IsNotPieceFastenerGroup(string first) =>
        $"\"{first}\" is not a piece, fastener group or lead of this assembly.";

    public static Message TheseWaitForEachOther(string stuck) =>
        $"These wait for each other and can never start: {stuck}. Check hiddenBy and after.";
}
