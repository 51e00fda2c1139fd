// Takes away behind each test what it drew: said here, it holds for every file of a suite.
if (typeof document !== 'undefined') require('@testing-library/react');
