import type { ButtonHTMLAttributes, ReactNode, Ref } from 'react';

interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly look?: 'main' | 'plain' | 'quiet' | 'danger';
  readonly ref?: Ref<HTMLButtonElement>;
}

const LOOKS = {
  main: 'px-5 border-ink bg-ink text-surface hover:bg-beam hover:border-beam',
  plain: 'px-5 border-ink bg-transparent text-ink hover:bg-wash',
  quiet:
    'px-2 border-transparent bg-transparent text-ink underline decoration-hairline decoration-2 underline-offset-4 hover:decoration-beam',
  danger: 'px-5 border-slip bg-transparent text-slip hover:bg-slip hover:text-white',
} as const;

export function buttonClass(look: keyof typeof LOOKS = 'main'): string {
  return `inline-flex min-h-11 items-center justify-center gap-2 rounded-sm border-[1.5px] font-semibold transition-colors disabled:cursor-not-allowed disabled:opacity-50 ${LOOKS[look]}`;
}

/** A button; one `main` on a page, for the one thing to do. */
export function Button({ look = 'main', className = '', type = 'button', ...rest }: ButtonProps): ReactNode {
  return <button type={type} className={`${buttonClass(look)} ${className}`} {...rest} />;
}
