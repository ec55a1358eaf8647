namespace FaithfulBracket.Core.Words.Match.Trace;

/// <summary>Sentences of flat photo.</summary>
internal static class FlatPhotoWords
{
    public static Message TargetIsNotSeenWholeBeside =>
        $"The target is not seen whole beside it: at least four of its marks, not in one line. Take the picture "
        + $"again from higher.";

    public static Message SoHighPlaneWouldLie =>
        $"So high the plane would lie at the camera: give the height of the face over the target.";
}
