namespace FaithfulBracket.Instruments;

/// <summary>A camera over the bench.</summary>
public interface ICamera
{
    string Name { get; }

    /// <summary>Takes one picture: a JPEG or PNG file.</summary>
    Task<byte[]> ShootAsync(CancellationToken cancel);
}
