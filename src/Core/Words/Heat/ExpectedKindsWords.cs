namespace FaithfulBracket.Core.Words.Heat;

/// <summary>Sentences of expected kinds.</summary>
internal static class ExpectedKindsWords
{
    public static Message TopOfLidSiliconIsWarmer => $"top of the lid, the silicon is warmer";
}
