namespace FaithfulBracket.Core.Words.Teardown;

/// <summary>Sentences of chosen order.</summary>
internal static class ChosenOrderWords
{
    public static Message NameEachOfScrewGroupsLeads(int idCount) =>
        $"Name each of the {idCount} screw groups, leads and pieces once.";

    public static Message HidesGroupIt(string first, string target) =>
        $"{first} hides group {target}: it has to be gone first.";

    public static Message HidesLeadIt(string first, string target) =>
        $"{first} hides the lead {target}: it has to be gone first.";

    public static Message OfGroupStill(string screws, string first, string hold, string target) =>
        $"{screws} of group {first} still {hold} the {target}.";

    public static Message LeadStillTiesDown(string first, string target) =>
        $"The lead {first} still ties the {target} down.";

    public static Message DieRingComesAfterPeer(string target, string first) =>
        $"The die ring {target} comes after its peer {first} on the same piece.";

    public static Message DieRingComesBeforePeer(string ring, string peer) =>
        $"From the core outward, the die ring {ring} comes before its peer {peer} on the same piece.";
}
