import { useQuery } from "@tanstack/react-query";
import { api } from "../../api/client";

/** For a new tablet: how it comes to trust the shop's own authority, so that it warns no more. */
export function Trust() {
  const authority = useQuery({ queryKey: ["authority"], queryFn: api.authority, retry: false });
  return (
    <main className="mx-auto flex max-w-[760px] flex-col gap-5 px-5 py-12 text-lead leading-[23px]">
      <h1 className="text-head leading-9 font-[680]">A new tablet</h1>
      {authority.isError ? (
        <p>{authority.error.message}</p>
      ) : (
        <>
          <p>
            This server has a certificate that the shop made itself. Once a tablet trusts the shop’s authority, it
            reaches the server without a warning, and knows it from any other that says it is.
          </p>
          <ol className="list-decimal pl-6 [&>li]:pb-3">
            <li>
              Hold these figures against those printed where the server was started. Where one differs, stop and ask a
              lead.
              <span className="m mt-2 block border border-ink bg-card p-3 text-body break-words">
                {authority.data?.fingerprint}
              </span>
            </li>
            <li>
              <a className="press call inline-flex items-center" href="/api/v1/authority/certificate">
                Fetch the authority’s certificate
              </a>
            </li>
            <li>
              Install it in the settings of the tablet, under security, as a certificate authority for web pages. Some
              tablets ask first for a screen lock; some have the certificate as a profile that is switched on under
              certificate trust.
            </li>
            <li>Close the browser, open it again: the warning is gone.</li>
          </ol>
        </>
      )}
    </main>
  );
}
