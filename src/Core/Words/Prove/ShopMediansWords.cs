namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of shop medians.</summary>
internal static class ShopMediansWords
{
    public static string ProvedFromOnShopsOwnMedian(int jobCount, string jobs, string with, int minJobs) =>
        $"{jobCount} proved {jobs}{with}: from {minJobs} on the shop's own median says something.";

    public const string AsMakerClaims = "as the maker claims";

    public static string OverMakersClaim(double off) => $"{off:0} % over the maker's claim";

    public static string UnderMakersClaim(double off) => $"{off:0} % under the maker's claim";
}
