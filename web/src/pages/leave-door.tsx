import { useEffect, type ReactNode } from 'react';
import { useLocation, useNavigate } from 'react-router';

/**
 * Leads whoever has signed in from the door to where they begin. Somebody who was quicker and has chosen a place while
 * this page was being fetched is not called back: React may still show the door when the address is another one already.
 */
export function LeaveDoor({ to }: { readonly to: string }): ReactNode {
  const { pathname } = useLocation();
  const navigate = useNavigate();
  useEffect(() => {
    if (window.location.pathname === pathname) void navigate(to, { replace: true });
  }, [navigate, pathname, to]);
  return null;
}
