namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of shop medians.</summary>
internal static class ShopMediansWords
{
    public static Message ProvedFromOnShopsOwnMedian(int jobCount, string jobs, string with, int minJobs) =>
        $"{jobCount} proved {jobs}{with}: from {minJobs} on the shop's own median says something.";

    public static Message AsMakerClaims => $"as the maker claims";

    public static Message OverMakersClaim(double off) => $"{off:0} % over the maker's claim";

    public static Message UnderMakersClaim(double off) => $"{off:0} % under the maker's claim";
}
