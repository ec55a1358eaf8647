/** The SHA-256 of the workshop's certificate, in groups that two people can read to each other. */
export const Fingerprint = ({ of }: { of: string }) => (
  <span className="num block break-words text-[14.5px] leading-snug" data-fingerprint>
    {of}
  </span>
)
