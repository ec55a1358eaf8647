namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of compute inputs.</summary>
internal static class ComputeInputsWords
{
    public const string ExpectedMoreThanSquashMin = "Expected more than squashMin.";

    public const string ExpectedAtLeastOnePointSquash = "Expected at least one point [squash, MPa] above zero squash.";

    public const string SquashHasToRiseAndStress = "Squash has to rise and stress may not fall along the curve.";

    public static string PasteIsNotKnown(string id) =>
        $"Paste \"{id}\" is not known: give its values or add it to the drawer.";
}
